import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { rmSync } from 'node:fs';
import { mkdtemp, open, readFile, rm, stat, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { cellGrid } from '../trace';
import { MACHINE, type MachineAsk, type MachineLook, type MachineState } from './kinds';

// The server's half of codecs that browsers do not have: ffmpeg of this machine, one process for each part, one for putting parts together.
// Frames go through as they come; what is on the disk is what is being made, and goes with its session.

const FFMPEG = process.env.ISOMORPH_FFMPEG ?? 'ffmpeg';
const FFPROBE = process.env.ISOMORPH_FFPROBE ?? 'ffprobe';
/** A session nobody speaks to for so long is ended, in milliseconds. */
const IDLE_MS = 180_000;
const PART = 'part';
const WHOLE = 'whole';

/** A failure that is told to whoever asked. */
export class MachineTrouble extends Error {
  constructor(
    readonly status: number,
    message: string,
  ) {
    super(message);
  }
}

interface Ended {
  code: number | null;
  out: Buffer;
  err: string;
}

/** Runs a command to its end. @throws MachineTrouble when it is not there */
async function run(command: string, args: readonly string[], cwd?: string): Promise<Ended> {
  const child = spawn(command, args, { ...(cwd === undefined ? {} : { cwd }), stdio: ['ignore', 'pipe', 'pipe'] });
  const out: Buffer[] = [];
  let err = '';
  child.stdout.on('data', (bytes: Buffer) => out.push(bytes));
  child.stderr.on('data', (text: Buffer) => (err = (err + text.toString()).slice(-2000)));
  const [code] = (await once(child, 'close').catch(() => {
    throw new MachineTrouble(503, `${command} is not installed`);
  })) as [number | null];
  return { code, out: Buffer.concat(out), err };
}

let known: Promise<MachineState> | null = null;

/** What this machine can encode; asked once. */
export function machineState(): Promise<MachineState> {
  known ??= run(FFMPEG, ['-hide_banner', '-encoders'])
    .then(async ({ out }) => {
      const version = (await run(FFMPEG, ['-version'])).out.toString().split(' ')[2] ?? '';
      const encoders = [...out.toString().matchAll(/^ V\S+ (\S+)/gm)].map(([, name]) => name);
      return { version, encoders };
    })
    .catch(() => ({ version: null, encoders: [] }));
  return known;
}

const bitexact = ['-fflags', '+bitexact', '-flags:v', '+bitexact', '-map_metadata', '-1'];

/** What a session makes: a part of frames, or a whole of parts. */
class Session {
  private child: ChildProcess | null = null;
  private ended: Promise<unknown> | null = null;
  private err = '';
  private idle: NodeJS.Timeout;
  readonly parts: number[] = [];

  constructor(
    readonly id: string,
    private readonly folder: string,
    readonly ask: MachineAsk,
  ) {
    this.idle = setTimeout(() => void this.close(), IDLE_MS);
  }

  /** somebody still speaks to it */
  touch(): void {
    clearTimeout(this.idle);
    this.idle = setTimeout(() => void this.close(), IDLE_MS);
  }

  private get ending(): string {
    return { mov: 'mov', mp4: 'mp4', matroska: 'mkv' }[MACHINE[this.ask.kind].holder];
  }

  private file(name: string): string {
    return join(this.folder, `${name}.${this.ending}`);
  }

  /** Arguments about the file that is written: times in whole frames, nothing of when it was made. */
  private holding(): string[] {
    const { rate, kind } = this.ask;
    const { holder } = MACHINE[kind];
    const times = holder === 'matroska' ? [] : ['-video_track_timescale', String(rate.num)];
    return [...bitexact, ...times, ...(holder === 'mov' ? ['-movflags', '+write_colr'] : []), '-f', holder];
  }

  private encoder(): ChildProcess {
    const { kind, width, height, rate } = this.ask;
    const { encoder, pixels, args } = MACHINE[kind];
    const child = spawn(
      FFMPEG,
      [
        ...['-hide_banner', '-loglevel', 'error', '-nostdin', '-y'],
        ...['-f', 'rawvideo', '-pix_fmt', pixels, '-s', `${width}x${height}`, '-r', `${rate.num}/${rate.den}`],
        ...['-i', 'pipe:0', '-an', '-c:v', encoder, ...args(this.ask), ...this.holding(), this.file(PART)],
      ],
      { stdio: ['pipe', 'ignore', 'pipe'] },
    );
    child.stderr?.on('data', (text: Buffer) => (this.err = (this.err + text.toString()).slice(-2000)));
    // what is written to a process that has ended is told by its end
    child.stdin?.on('error', () => undefined);
    this.ended = once(child, 'close').catch(() => [null]);
    return child;
  }

  /** Takes bytes of frames, as fast as they are encoded. @throws MachineTrouble when the encoder has ended */
  async take(body: AsyncIterable<Uint8Array>): Promise<void> {
    const child = (this.child ??= this.encoder());
    for await (const bytes of body) {
      if (child.exitCode !== null || !child.stdin?.writable) throw this.failed();
      if (!child.stdin.write(bytes)) await Promise.race([once(child.stdin, 'drain'), this.ended]);
    }
  }

  private failed(): MachineTrouble {
    const words = this.err.trim().split('\n').at(-1) ?? '';
    const full = /No space left/.test(this.err);
    return full
      ? new MachineTrouble(507, 'the disk of the machine is full')
      : new MachineTrouble(500, `ffmpeg stopped${words ? `: ${words}` : ''}`);
  }

  /** The file of the part whose frames were taken. */
  async part(): Promise<string> {
    this.child?.stdin?.end();
    await this.ended;
    if (this.child?.exitCode !== 0) throw this.failed();
    return this.file(PART);
  }

  /** Takes a finished part. */
  async keep(part: number, body: AsyncIterable<Uint8Array>): Promise<void> {
    const handle = await open(this.file(String(part)), 'w');
    try {
      for await (const bytes of body) await handle.write(bytes);
    } catch (error) {
      if (error instanceof Error && 'code' in error && error.code === 'ENOSPC')
        throw new MachineTrouble(507, 'the disk of the machine is full');
      throw error;
    } finally {
      await handle.close();
    }
    this.parts.push(part);
  }

  /** Puts the parts together, so many times after one another. */
  async join(laps: number): Promise<string> {
    const names = [...this.parts].sort((a, b) => a - b).map((part) => `file '${part}.${this.ending}'`);
    const list = join(this.folder, 'list.txt');
    await writeFile(list, Array.from({ length: laps }, () => names.join('\n')).join('\n'));
    const tag = this.ask.kind === 'hevc' ? ['-tag:v', 'hvc1'] : [];
    const moov = MACHINE[this.ask.kind].holder === 'matroska' ? [] : ['-movflags', '+faststart+write_colr'];
    const { code, err } = await run(
      FFMPEG,
      [
        ...['-hide_banner', '-loglevel', 'error', '-nostdin', '-y', '-f', 'concat', '-safe', '0', '-i', 'list.txt'],
        ...['-c', 'copy', ...tag, ...this.holding(), ...moov, this.file(WHOLE)],
      ],
      this.folder,
    );
    this.err = err;
    if (code !== 0) throw this.failed();
    return this.file(WHOLE);
  }

  /** Decodes what was put together. */
  async look(): Promise<MachineLook> {
    const file = this.file(WHOLE);
    const { width, height } = this.ask;
    const { columns, rows } = cellGrid(width, height);
    const probed = await run(FFPROBE, [
      ...['-v', 'error', '-select_streams', 'v:0', '-show_entries', 'stream=codec_name,width,height:format=duration'],
      ...['-of', 'json', file],
    ]);
    const facts = JSON.parse(probed.out.toString() || '{}') as {
      streams?: { codec_name?: string; width?: number; height?: number }[];
      format?: { duration?: string };
    };
    const seen = join(this.folder, 'seen.rgb');
    const { code, err } = await run(FFMPEG, [
      ...['-hide_banner', '-loglevel', 'error', '-nostdin', '-y', '-i', file, '-fps_mode', 'passthrough', '-vf'],
      // what is straight is looked at over black, as it was rendered
      `${this.ask.alpha === 'straight' ? 'format=gbrap16le,premultiply=inplace=1,' : ''}scale=${columns}:${rows}:flags=area+accurate_rnd+full_chroma_int:in_color_matrix=bt709,format=rgb24`,
      ...['-f', 'rawvideo', seen],
    ]);
    this.err = err;
    if (code !== 0) throw this.failed();
    const cells = await readFile(seen);
    const [stream] = facts.streams ?? [];
    return {
      frames: cells.length / (columns * rows * 3),
      seconds: Number(facts.format?.duration ?? 0),
      ...{ width: stream?.width ?? 0, height: stream?.height ?? 0, codec: stream?.codec_name ?? '' },
      cells: cells.toString('base64'),
    };
  }

  /** Ends it at once, with all that it has written. */
  drop(): void {
    this.child?.kill('SIGKILL');
    rmSync(this.folder, { recursive: true, force: true });
  }

  async close(): Promise<void> {
    clearTimeout(this.idle);
    sessions.delete(this.id);
    this.child?.kill('SIGKILL');
    await this.ended;
    await rm(this.folder, { recursive: true, force: true });
  }
}

const sessions = new Map<string, Session>();

// nothing of ours goes on, or stays on the disk, when the server ends
process.once('exit', () => {
  for (const session of sessions.values()) session.drop();
});

/** Begins a session. */
export async function beginSession(ask: MachineAsk): Promise<Session> {
  const id = randomUUID();
  const session = new Session(id, await mkdtemp(join(tmpdir(), 'isomorph-encode-')), ask);
  sessions.set(id, session);
  return session;
}

/** @throws MachineTrouble when there is none, or no more */
export function sessionOf(id: string): Session {
  const session = sessions.get(id);
  if (!session) throw new MachineTrouble(404, 'the encoder was given up: nobody spoke to it for too long');
  session.touch();
  return session;
}

const CHUNK = 1 << 20;

/** A file as it is read from the disk. */
export async function fileAnswer(path: string): Promise<Response> {
  const { size } = await stat(path);
  const file = await open(path, 'r');
  const body = new ReadableStream<Uint8Array>({
    async pull(to) {
      const { bytesRead, buffer } = await file.read(new Uint8Array(CHUNK), 0, CHUNK);
      if (bytesRead > 0) to.enqueue(buffer.subarray(0, bytesRead));
      else {
        await file.close();
        to.close();
      }
    },
    cancel: () => file.close(),
  });
  return new Response(body, {
    headers: { 'Content-Type': 'application/octet-stream', 'Content-Length': String(size) },
  });
}
