import { channelIn } from '../../core/piece/channel';
import { PICTURE, type Channel } from '../../core/look/channels';
import type { Piece } from '../../core/piece/schema';
import { ChoiceField } from '../parts/ChoiceField';
import { bench, useBench, usePiece } from '../state/bench';
import styles from './Picture.module.css';

const OWN = {
  picture: 'Picture',
  range: 'Ends of range',
  alpha: 'Alpha',
  depth: 'Depth',
  normal: 'Normals',
  motion: 'Motion',
  lines: 'Drawn lines',
} as const;
const OF_LAYER = 'layer ';

const keyOf = (channel: Channel): string => (channel.of === 'layer' ? OF_LAYER + channel.id : channel.of);

/** What a key of the choice stands for. */
const channelOf = (key: string): Channel => {
  const own = (Object.keys(OWN) as (keyof typeof OWN)[]).find((of) => of === key);
  return own ? { of: own } : { of: 'layer', id: key.slice(OF_LAYER.length) };
};

const choices = ({ layers }: Piece): Record<string, string> => ({
  ...OWN,
  ...Object.fromEntries(layers.map(({ id, name }) => [OF_LAYER + id, `Matte of ${name}`])),
});

/** What of the frame is seen in place of the picture. */
export function ChannelChoice() {
  const piece = usePiece();
  const channel = channelIn(
    piece,
    useBench((state) => state.channel),
  );
  return (
    <span className={styles.channel}>
      <ChoiceField
        label="What of the frame is shown"
        value={keyOf(channel)}
        choices={choices(piece)}
        onChange={(key) => bench.patch({ channel: channelOf(key) })}
      />
    </span>
  );
}

/** What is to be read from a channel, in words. */
export function channelWords(piece: Piece, channel: Channel): string {
  switch (channel.of) {
    case 'picture':
      return '';
    case 'range':
      return 'red and pale: channels as bright as can be; blue: black';
    case 'alpha':
      return 'alpha: white hides what is behind';
    case 'depth':
      return 'depth: the plane of focus is middle grey';
    case 'normal':
      return 'normals: red to the right, green up, blue to the camera';
    case 'motion':
      return 'motion: grey stands still, red goes to the right, green up';
    case 'lines':
      return 'drawn lines alone';
    case 'layer':
      return `matte of ${piece.layers.find(({ id }) => id === channel.id)?.name ?? 'a layer'}`;
  }
}

export const showPicture = (): void => bench.patch({ channel: PICTURE });
