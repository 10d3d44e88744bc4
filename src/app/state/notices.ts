import { create } from 'zustand';

/** Something the user is told, with what can be done about it beside it. */
export interface Notice {
  id: string;
  words: string;
  /** trouble is announced at once; a remark waits its turn */
  tone: 'trouble' | 'remark';
  actions: { label: string; act(): void }[];
  /** whether it can be waved away without an answer; what is about loss cannot */
  dismissable: boolean;
}

export const useNotices = create<{ list: readonly Notice[] }>(() => ({ list: [] }));

let count = 0;

/**
 * Tells the user something, below what was told before. A notice of the same name takes the place of the earlier one.
 * @returns its name
 */
export function say(
  words: string,
  { id = `notice-${count++}`, tone = 'trouble', actions = [], dismissable = true }: Partial<Omit<Notice, 'words'>> = {},
): string {
  const notice: Notice = { id, words, tone, actions, dismissable };
  useNotices.setState(({ list }) => ({
    list: list.some((other) => other.id === id)
      ? list.map((other) => (other.id === id ? notice : other))
      : [...list, notice],
  }));
  return id;
}

/** Takes a notice away; none of that name is no mistake. */
export const unsay = (id: string): void =>
  useNotices.setState(({ list }) =>
    list.some((notice) => notice.id === id) ? { list: list.filter((notice) => notice.id !== id) } : {},
  );
