import {
  Button,
  ColorArea,
  ColorField,
  ColorPicker,
  ColorSlider,
  ColorThumb,
  Dialog,
  DialogTrigger,
  Input,
  Popover,
  SliderTrack,
} from 'react-aria-components';
import { bench } from '../state/bench';
import styles from './ColourField.module.css';

interface Props {
  label: string;
  value: string;
  onChange(value: string): void;
  /** a small square instead of a whole row */
  compact?: boolean;
}

/** A colour: shown as it is, opened in place to change it. */
export function ColourField({ label, value, onChange, compact = false }: Props) {
  return (
    <ColorPicker value={value} onChange={(colour) => onChange(colour.toString('hex').toLowerCase())}>
      <DialogTrigger onOpenChange={(open) => (open ? bench.beginGesture() : bench.endGesture())}>
        <Button className={`${styles.swatch} ${compact ? styles.compact : ''}`} aria-label={`${label}, ${value}`}>
          <i style={{ background: value }} />
          {compact ? null : <span>{value}</span>}
        </Button>
        <Popover className={styles.popover} placement="bottom end">
          <Dialog aria-label={label} className={styles.dialog}>
            <ColorArea colorSpace="hsb" xChannel="saturation" yChannel="brightness" className={styles.area}>
              <ColorThumb className={styles.thumb} />
            </ColorArea>
            <ColorSlider colorSpace="hsb" channel="hue" aria-label="Hue">
              <SliderTrack className={styles.hue}>
                <ColorThumb className={styles.thumb} />
              </SliderTrack>
            </ColorSlider>
            <ColorField aria-label="Hexadecimal">
              <Input className={styles.hex} />
            </ColorField>
          </Dialog>
        </Popover>
      </DialogTrigger>
    </ColorPicker>
  );
}
