import { MachineTrouble } from './server';

/** An answer, or in words why there is none. */
export async function answering(work: () => Promise<Response>): Promise<Response> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof MachineTrouble) return new Response(error.message, { status: error.status });
    return new Response(error instanceof Error ? error.message : String(error), { status: 500 });
  }
}
