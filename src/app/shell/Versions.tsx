import { openCopy } from './files';
import { renameVersion } from '../../store/versions';
import { Button } from '../parts/Button';
import { PictureGroups, PictureRow, PictureRows, TypedName } from '../parts/PictureRow';
import { Sheet } from '../parts/Sheet';
import { bench, useBench, usePiece } from '../state/bench';
import { usePictures } from '../state/pictures';
import { goBackTo, keep, remove, useVersions } from '../state/versions';

const timeWords = (at: number): string =>
  new Date(at).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' });

/** What the open piece was at times that were kept: to be gone back to, compared with, opened beside it. */
export function Versions({ open, onClose }: { open: boolean; onClose(): void }) {
  const piece = usePiece();
  return (
    <Sheet
      title={`Versions of ${piece.name}`}
      open={open}
      onClose={onClose}
      foot={
        <>
          <span>Going back is one step: undo leads back again.</span>
          <Button kind="accent" onPress={() => void keep(piece)}>
            Keep it as it is
          </Button>
        </>
      }
    >
      {open ? <VersionRows onClose={onClose} /> : null}
    </Sheet>
  );
}

function VersionRows({ onClose }: { onClose(): void }) {
  const piece = usePiece();
  const frameIndex = useBench((state) => state.status?.frameIndex ?? 0);
  const versions = useVersions(piece.id);
  const pictures = usePictures(
    versions.map((version) => ({
      key: version.id,
      piece: version.piece,
      frameIndex: frameIndex % version.piece.lap.frames,
    })),
  );
  if (versions.length === 0)
    return (
      <p>
        None is kept yet. A version is the whole piece as it is now, under a name: keep one before you try something.
      </p>
    );
  const and = (act: () => void) => (): void => (act(), onClose());
  return (
    <PictureGroups>
      <PictureRows title="The newest first">
        {versions.map((version) => {
          const { id, name, at } = version;
          return (
            <PictureRow
              key={id}
              picture={pictures.get(id)}
              label={`Go back to ${name}`}
              onPress={and(() => goBackTo(version))}
              name={<TypedName name={name} onName={(next) => void renameVersion(id, next)} />}
              describe={timeWords(at)}
            >
              <Button
                label={`Compare with ${name}`}
                onPress={and(() => bench.patch({ compared: { with: 'version', id }, step: 'look', playing: false }))}
              >
                Compare
              </Button>
              <Button
                label={`Open ${name} beside it`}
                onPress={and(() => void openCopy(version.piece, `${piece.name}, ${name}`))}
              >
                Open
              </Button>
              <Button label={`Remove ${name}`} onPress={() => void remove(version)}>
                Remove
              </Button>
            </PictureRow>
          );
        })}
      </PictureRows>
    </PictureGroups>
  );
}
