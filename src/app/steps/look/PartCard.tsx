import { Eye, EyeOff, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import type { Form } from '../../../core/forms';
import { stepsOf } from '../../../core/world/steps';
import { AloneButton } from '../../parts/AloneButton';
import { Button } from '../../parts/Button';
import { Card } from '../../parts/Card';
import { Inspector } from '../../parts/Inspector';
import { ReorderItem } from '../../parts/Reorder';
import { bench, useBench, usePiece } from '../../state/bench';

interface Props {
  of: 'lights' | 'effects';
  part: { id: string; off: boolean };
  title: string;
  summary: string;
  drawing: ReactNode;
  form: Form;
  path: readonly (string | number)[];
  /** it can neither be switched off nor removed */
  always?: boolean;
  onRemove(): void;
  /** above its rows */
  children?: ReactNode;
}

/** One of a list of the look: switched off, dragged to another place, opened in place. */
export function PartCard({ of, part, title, summary, drawing, form, path, always = false, onRemove, children }: Props) {
  const piece = usePiece();
  const open = useBench((state) => state.open === part.id);
  return (
    <ReorderItem id={part.id} name={title}>
      {(handle) => (
        <Card
          title={title}
          summary={part.off ? 'off' : summary}
          drawing={drawing}
          open={open}
          kin={{ form, path }}
          onToggle={() => bench.patch({ open: open ? null : part.id })}
          actions={
            <>
              {handle}
              {always ? null : (
                <>
                  <AloneButton of={of} id={part.id} name={title} />
                  <Button
                    kind="bare"
                    label={part.off ? `Switch ${title} on` : `Switch ${title} off`}
                    onPress={() => bench.set([...path, 'off'], !part.off)}
                  >
                    {part.off ? <EyeOff size={15} /> : <Eye size={15} />}
                  </Button>
                  <Button kind="bare" label={`Remove ${title}`} onPress={onRemove}>
                    <Trash2 size={15} />
                  </Button>
                </>
              )}
            </>
          }
        >
          {children}
          <Inspector form={form} path={path} closingSteps={stepsOf(piece, { path }).closing} />
        </Card>
      )}
    </ReorderItem>
  );
}
