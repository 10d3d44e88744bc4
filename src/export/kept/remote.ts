import { Trouble } from '../../core/trouble';
import type { ByteSink } from '../bytes/sink';
import { asText, readFacts, type Kept, type PartFacts } from './kept';

/** As the command line's own server says that the disk is full: RFC 4918, §11.5. */
const NO_ROOM = 507;

/** Parts in a folder of the command line, by its own server: see bin/work.mjs. */
export class RemoteKept implements Kept {
  /** @param at address of the folder, with its stroke */
  constructor(private readonly address: string) {}

  private async ask(name: string, init: RequestInit = {}): Promise<Response> {
    const answer = await fetch(this.address + name, init);
    if (answer.ok || answer.status === 404) return answer;
    throw new Trouble(answer.status === NO_ROOM ? 'no-room' : 'not-written', (await answer.text()).trim());
  }

  private async file(name: string): Promise<Blob | null> {
    const answer = await this.ask(name);
    return answer.ok ? answer.blob() : null;
  }

  private async send(name: string, body: Uint8Array<ArrayBuffer>): Promise<void> {
    await this.ask(name, { method: 'PUT', body });
  }

  async list(): Promise<Map<number, PartFacts>> {
    const names = (await (await this.ask('')).json()) as { name: string; bytes: number }[];
    const sizes = new Map(names.map(({ name, bytes }) => [name, bytes]));
    const found = new Map<number, PartFacts>();
    for (const { name } of names) {
      const part = /^(\d+)\.json$/.exec(name)?.[1];
      const text = part === undefined ? undefined : await (await this.file(name))?.text();
      const facts = text === undefined ? null : readFacts(text, sizes.get(part ?? '') ?? -1);
      if (facts) found.set(Number(part), facts);
    }
    return found;
  }

  async put(part: number, bytes: Uint8Array<ArrayBuffer>, facts: PartFacts): Promise<void> {
    await this.send(String(part), bytes);
    await this.send(`${part}.json`, asText(facts));
  }

  async at(part: number): Promise<Blob> {
    const file = await this.file(String(part));
    if (!file) throw new Trouble('impossible', `part ${part} is not kept`);
    return file;
  }

  async whole(): Promise<ByteSink> {
    await this.ask('whole', { method: 'PUT', body: new Uint8Array() });
    return {
      write: async (bytes, at) => void (await this.ask(`whole?at=${at}`, { method: 'PUT', body: bytes.slice() })),
      finish: async () => (await this.file('whole')) ?? new Blob(),
      abandon: () => Promise.resolve(),
    };
  }

  found(): Promise<Blob | null> {
    return Promise.resolve(null);
  }

  /** the command line does so itself, when the file has its name */
  dropParts(): Promise<void> {
    return Promise.resolve();
  }
}
