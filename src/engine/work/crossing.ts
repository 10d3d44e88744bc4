import * as Comlink from 'comlink';
import { Trouble, type TroubleData } from '../../core/trouble';

/** A trouble on its way between threads, thrown or handed over. */
interface Crossing {
  trouble: TroubleData;
}

const isCrossing = (value: unknown): value is Crossing =>
  typeof value === 'object' && value !== null && 'trouble' in value;

/**
 * Lets troubles cross threads as what they are: handed over as an argument or a result, and thrown. Called by both sides of
 * every worker of ours, before anything is said.
 */
export function letTroublesCross(): void {
  if (Comlink.transferHandlers.has('trouble')) return;
  const handed: Comlink.TransferHandler<Trouble, Crossing> = {
    canHandle: (value): value is Trouble => value instanceof Trouble,
    serialize: (trouble) => [{ trouble: trouble.data }, []],
    deserialize: ({ trouble }) => Trouble.from(trouble),
  };
  Comlink.transferHandlers.set('trouble', handed);
  const plain = Comlink.transferHandlers.get('throw');
  if (!plain) return;
  const thrown: Comlink.TransferHandler<{ value: unknown }, unknown> = {
    canHandle: (value): value is { value: unknown } => plain.canHandle(value),
    serialize: (all) => (all.value instanceof Trouble ? [{ trouble: all.value.data }, []] : plain.serialize(all)),
    deserialize(sent) {
      if (isCrossing(sent)) throw Trouble.from(sent.trouble);
      return plain.deserialize(sent) as { value: unknown };
    },
  };
  Comlink.transferHandlers.set('throw', thrown);
}
