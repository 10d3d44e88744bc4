import type { ReactNode } from 'react';
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
