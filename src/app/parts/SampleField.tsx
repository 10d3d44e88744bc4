import { ChevronDown } from 'lucide-react';
import {
  Button,
  Header,
  ListBox,
  ListBoxItem,
  ListBoxSection,
  Popover,
  Dialog,
  DialogTrigger,
} from 'react-aria-components';
import type { Sampled } from '../../core/world/sample';
import { useSample } from '../state/samples';
import menu from './Menu.module.css';
import styles from './SampleField.module.css';

export interface Sample {
  id: string;
  label: string;
  hint?: string;
  shows: Sampled;
}

interface Props {
  label: string;
  /** the kind of what there is now, and what it looks like */
  now: Sample;
  kinds: readonly Sample[];
  ready: readonly Sample[];
  onChoose(id: string): void;
}

/** Something that is chosen by what it looks like on a ball, as this engine draws it. */
export function SampleField({ label, now, kinds, ready, onChoose }: Props) {
  return (
    <DialogTrigger>
      <Button className={styles.now} aria-label={`${label}: ${now.label}`}>
        <Ball sample={now} />
        <span>{now.label}</span>
        <ChevronDown size={14} aria-hidden />
      </Button>
      <Popover className={`${menu.popover} ${styles.list}`} placement="left top" shouldFlip>
        <Dialog aria-label={label} className={styles.dialog}>
          {({ close }) => (
            <ListBox
              aria-label={label}
              layout="grid"
              className={styles.box}
              selectionMode="single"
              selectedKeys={[now.id]}
              onSelectionChange={(keys) => {
                const [key] = [...keys];
                // chosen again it stays as it is
                if (key !== undefined) onChoose(String(key));
                close();
              }}
            >
              <Group words="Kinds" samples={kinds} />
              <Group words="To begin with" samples={ready} />
            </ListBox>
          )}
        </Dialog>
      </Popover>
    </DialogTrigger>
  );
}

function Group({ words, samples }: { words: string; samples: readonly Sample[] }) {
  return (
    <ListBoxSection className={styles.group}>
      <Header className={styles.head}>{words}</Header>
      {samples.map((sample) => (
        <ListBoxItem
          key={sample.id}
          id={sample.id}
          textValue={sample.label}
          className={styles.item}
          aria-label={sample.label}
        >
          <Ball sample={sample} />
          <span title={sample.hint}>{sample.label}</span>
        </ListBoxItem>
      ))}
    </ListBoxSection>
  );
}

function Ball({ sample: { shows } }: { sample: Sample }) {
  const url = useSample(shows);
  return url ? <img className={styles.ball} src={url} alt="" /> : <i className={styles.ball} />;
}
