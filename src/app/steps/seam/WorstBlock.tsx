import { useBench, usePiece } from '../../state/bench';
import { useSeam } from './check';
import styles from './Seam.module.css';

/** The block of the picture that jumps most at the join, while the seam is looked at. @param inset of the picture in what it is drawn in */
export function WorstBlock({ width, height, inset }: { width: number; height: number; inset: number }) {
  const piece = usePiece();
  const looks = useBench((state) => state.step === 'seam');
  const pictures = useSeam((state) => state.pictures);
  if (
    !looks ||
    !pictures ||
    pictures.of !== piece ||
    pictures.report.verdict !== 'jumps' ||
    pictures.report.excess.of !== 'block'
  )
    return null;
  const [column, row, columns] = pictures.report.worstBlock;
  // blocks are square, and counted from the bottom up
  const side = width / columns;
  const top = Math.max(0, height - (row + 1) * side);
  const box = { left: inset + column * side, top: inset + top, width: side, height: height - row * side - top };
  return <div className={styles.worst} style={box} role="img" aria-label="The block that jumps most" />;
}
