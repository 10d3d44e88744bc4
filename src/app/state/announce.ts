import { create } from 'zustand';

/** What assistive technology is to read out next; shown nowhere. */
export const useAnnouncement = create<{ words: string }>(() => ({ words: '' }));

/** Reads something out that is already visible somewhere. */
export const announce = (words: string): void => useAnnouncement.setState({ words });
