/** What the tabs of one browser tell one another about pieces. */
interface Message {
  about: 'removed' | 'wanted';
  id: string;
}

const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('isomorph pieces');

/** Tells the other tabs. */
export const tellTabs = (message: Message): void => channel?.postMessage(message);

/** @returns stops listening */
export function hearTabs(heard: (message: Message) => void): () => void {
  const listener = ({ data }: MessageEvent<Message>): void => heard(data);
  channel?.addEventListener('message', listener);
  return () => channel?.removeEventListener('message', listener);
}
