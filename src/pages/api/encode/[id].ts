import type { APIRoute } from 'astro';
import { answering } from '../../../export/machine/answers';
import { fileAnswer, sessionOf } from '../../../export/machine/server';

export const prerender = false;

async function* nothing(): AsyncGenerator<Uint8Array> {}

/** Frames to be encoded; or, with ?part=N, a part that is finished. */
export const PUT: APIRoute = ({ params, request, url }) =>
  answering(async () => {
    const session = sessionOf(params.id ?? '');
    const body = (request.body as AsyncIterable<Uint8Array> | null) ?? nothing();
    const part = url.searchParams.get('part');
    if (part === null) await session.take(body);
    else await session.keep(Number(part), body);
    return new Response(null, { status: 204 });
  });

/** What comes of it: the part, ?join=LAPS the whole of the parts, or ?look what is seen in that. */
export const POST: APIRoute = ({ params, url }) =>
  answering(async () => {
    const session = sessionOf(params.id ?? '');
    if (url.searchParams.has('look')) return Response.json(await session.look());
    const laps = url.searchParams.get('join');
    return fileAnswer(laps === null ? await session.part() : await session.join(Number(laps)));
  });

/** Ends it, whatever it was doing. */
export const DELETE: APIRoute = ({ params }) =>
  answering(async () => {
    await sessionOf(params.id ?? '').close();
    return new Response(null, { status: 204 });
  });
