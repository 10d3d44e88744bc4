import { definitionOf, LAYERS } from '../../../core/layers/kinds';
import { AddMenu } from '../../parts/AddMenu';
import { Boundary } from '../../parts/Boundary';
import { Button } from '../../parts/Button';
import { CardsHead } from '../../parts/CardsHead';
import { Reorder } from '../../parts/Reorder';
import { bench, usePiece } from '../../state/bench';
import { LayerCard } from './LayerCard';
import { MapBand } from './map/MapBand';
import { addLayer, moveLayer, removeLayer } from './layerEdits';
import styles from './Build.module.css';

export const BuildBand = () => <MapBand />;

/** Things are added by what they are for: each kind by its own need, then by others that it answers. */
const NEEDS = LAYERS.names.flatMap((kind) => {
  const { need, describe, alsoFor = [], presets } = definitionOf(kind);
  return [
    { kind, need, describe, preset: 0 },
    ...alsoFor.map((other) => ({
      ...other,
      kind,
      preset: Math.max(
        0,
        presets.findIndex(({ label }) => label === other.preset),
      ),
    })),
  ];
});
const ITEMS = NEEDS.map(({ need, describe }) => ({ kind: need, label: need, describe }));

function add(wanted: string): void {
  const found = NEEDS.find(({ need }) => need === wanted);
  if (!found) return;
  let id = '';
  bench.update((piece) => {
    const added = addLayer(piece, found.kind, found.preset);
    ({ id } = added);
    return added.piece;
  });
  bench.patch({ open: id, selected: null });
}

/** The layers of the world. */
export function BuildCards() {
  const piece = usePiece();
  return (
    <>
      <CardsHead title="Layers">
        <AddMenu words="Add" label="Add a layer" kinds={ITEMS} onAdd={add} />
      </CardsHead>
      <Reorder
        ids={piece.layers.map(({ id }) => id)}
        onMove={(id, over) => bench.update((now) => moveLayer(now, id, over))}
      >
        {piece.layers.map((layer, index) => (
          <Boundary
            key={layer.id}
            what={`The card of ${layer.name}`}
            of={piece}
            escape={{
              label: 'Delete the layer',
              act: () => bench.update((now) => removeLayer(now, layer.id)),
            }}
          >
            <LayerCard piece={piece} layer={layer} index={index} />
          </Boundary>
        ))}
      </Reorder>
      {piece.layers.length === 0 ? (
        <div className={styles.empty}>
          <p>The world is empty. Begin with what the camera will pass:</p>
          {NEEDS.map(({ need }) => (
            <Button key={need} onPress={() => add(need)}>
              {need}
            </Button>
          ))}
        </div>
      ) : null}
    </>
  );
}
