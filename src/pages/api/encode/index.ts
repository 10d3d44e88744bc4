import type { APIRoute } from 'astro';
import { isMachineKind, type MachineAsk } from '../../../export/machine/kinds';
import { beginSession, machineState } from '../../../export/machine/server';
import { answering } from '../../../export/machine/answers';

export const prerender = false;

/** What this machine's ffmpeg can encode. */
export const GET: APIRoute = () => answering(async () => Response.json(await machineState()));

/** Begins a session: a part that is encoded, or parts that are put together. */
export const POST: APIRoute = ({ request }) =>
  answering(async () => {
    const ask = (await request.json()) as MachineAsk;
    const sizes = [ask.width, ask.height, ask.rate.num, ask.rate.den];
    if (
      !isMachineKind(ask.kind) ||
      !sizes.every((n) => Number.isInteger(n) && n > 0) ||
      Math.max(ask.width, ask.height) > 16_384
    )
      return new Response('that cannot be encoded', { status: 400 });
    return Response.json({ id: (await beginSession(ask)).id });
  });
