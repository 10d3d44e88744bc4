import { Eye, EyeOff, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { effectOf, type Effect, type EffectKind } from '../../../core/look/effects/kinds';
import { Button } from '../../parts/Button';
import { Card } from '../../parts/Card';
import { Inspector } from '../../parts/Inspector';
import { ReorderItem } from '../../parts/Reorder';
import { bench, useBench } from '../../state/bench';
import { EffectDrawing } from './EffectDrawing';
import { GlowRows } from './GlowRows';

/** Kinds whose values are more than rows. */
const EDITORS: Partial<Record<EffectKind, (props: { index: number }) => ReactNode>> = { glow: GlowRows };

interface Props {
  effect: Effect;
  index: number;
  onRemove(): void;
}

/** An effect: switched off, dragged to another place, opened in place. */
export function EffectCard({ effect, index, onRemove }: Props) {
  const open = useBench((state) => state.open === effect.id);
  const phase = useBench((state) => state.status?.phase ?? 0);
  const { label, always, form, summary } = effectOf(effect.kind);
  const path = ['look', 'effects', index] as const;
  const Editor = EDITORS[effect.kind];
  return (
    <ReorderItem id={effect.id} name={label}>
      {(handle) => (
        <Card
          title={label}
          summary={effect.off ? 'off' : summary(effect, phase)}
          drawing={<EffectDrawing effect={effect} />}
          open={open}
          kin={{ form, path }}
          onToggle={() => bench.patch({ open: open ? null : effect.id })}
          actions={
            <>
              {handle}
              {always ? null : (
                <>
                  <Button
                    kind="bare"
                    label={effect.off ? `Switch ${label} on` : `Switch ${label} off`}
                    onPress={() => bench.set([...path, 'off'], !effect.off)}
                  >
                    {effect.off ? <EyeOff size={15} /> : <Eye size={15} />}
                  </Button>
                  <Button kind="bare" label={`Remove ${label}`} onPress={onRemove}>
                    <Trash2 size={15} />
                  </Button>
                </>
              )}
            </>
          }
        >
          {Editor ? <Editor index={index} /> : null}
          <Inspector form={form} path={path} />
        </Card>
      )}
    </ReorderItem>
  );
}
