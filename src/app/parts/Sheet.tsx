import { useEffect, type ReactNode } from 'react';
import { Dialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import styles from './Sheet.module.css';

/** Something that takes the whole attention for a moment. Nothing that can be edited in place is edited here. */
export function Sheet({
  title,
  open,
  onClose,
  children,
  foot,
}: {
  title: string;
  open: boolean;
  onClose(): void;
  children: ReactNode;
  /** below all else */
  foot?: ReactNode;
}) {
  useEffect(() => {
    if (!open) return;
    // what had the focus may be gone, as the last of a list that was removed; Escape is then nobody’s
    const escape = ({ key }: KeyboardEvent): void => {
      if (key === 'Escape' && document.activeElement === document.body) onClose();
    };
    addEventListener('keydown', escape);
    return () => removeEventListener('keydown', escape);
  }, [open, onClose]);
  return (
    <ModalOverlay isOpen={open} onOpenChange={(isOpen) => !isOpen && onClose()} isDismissable className={styles.under}>
      <Modal className={styles.sheet}>
        <Dialog className={styles.dialog}>
          <Heading slot="title" className={styles.title}>
            {title}
          </Heading>
          {children}
          {foot ? <footer className={styles.foot}>{foot}</footer> : null}
        </Dialog>
      </Modal>
    </ModalOverlay>
  );
}
