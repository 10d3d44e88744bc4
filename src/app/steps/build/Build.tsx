import { definitionOf, type LayerKind, LAYERS } from '../../../core/layers/kinds';
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

function add(kind: LayerKind): void {
  let id = '';
  bench.update((piece) => {
    const added = addLayer(piece, kind);
    ({ id } = added);
    return added.piece;
  });
  bench.patch({ open: id, selected: null });
}

/** Things are added by what they are for. */
const KINDS = LAYERS.names.map((kind) => {
  const { need, describe } = definitionOf(kind);
  return { kind, label: need, describe };
});

/** The layers of the world. */
export function BuildCards() {
  const piece = usePiece();
  return (
    <>
      <CardsHead title="Layers">
        <AddMenu words="Add" label="Add a layer" kinds={KINDS} onAdd={add} />
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
          {LAYERS.names.map((kind) => (
            <Button key={kind} onPress={() => add(kind)}>
              {definitionOf(kind).need}
            </Button>
          ))}
        </div>
      ) : null}
    </>
  );
}
