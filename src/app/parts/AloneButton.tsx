import { Focus } from 'lucide-react';
import type { Alone } from '../../core/piece/alone';
import { bench, useBench } from '../state/bench';
import { Button } from './Button';

/** Shows a layer, light or effect without the others of its room, and all of them again. */
export function AloneButton({ of, id, name }: Alone & { name: string }) {
  const alone = useBench((state) => state.alone?.of === of && state.alone.id === id);
  return (
    <Button
      kind="bare"
      pressed={alone}
      label={`Show ${name} alone`}
      onPress={() => bench.patch({ alone: alone ? null : { of, id } })}
    >
      <Focus size={15} />
    </Button>
  );
}
