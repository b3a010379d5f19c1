import type { TouchEvent } from '@/core/counting/event';
import { newName } from './names';

type Message =
  | { readonly kind: 'hello' | 'here' | 'bye'; readonly page: string }
  | { readonly kind: 'event'; readonly event: TouchEvent };

export interface Twins {
  readonly share: (event: TouchEvent) => void;
  readonly close: () => void;
}

/**
 * Finds other tabs of this device that run the same session, and shares what is counted between them.
 * @param onTwins told how many others there are whenever that changes
 */
export function findTwins(
  sessionId: string,
  onEvent: (event: TouchEvent) => void,
  onTwins: (others: number) => void,
): Twins {
  if (typeof BroadcastChannel === 'undefined') return { share: () => undefined, close: () => undefined };
  const channel = new BroadcastChannel(`vowstep-run-${sessionId}`);
  const page = newName();
  const others = new Set<string>();
  const say = (message: Message) => channel.postMessage(message);
  channel.onmessage = ({ data }: MessageEvent<Message>) => {
    if (data.kind === 'event') return onEvent(data.event);
    if (data.kind === 'bye') others.delete(data.page);
    else others.add(data.page);
    if (data.kind === 'hello') say({ kind: 'here', page });
    onTwins(others.size);
  };
  say({ kind: 'hello', page });
  return {
    share: (event) => say({ kind: 'event', event }),
    close: () => {
      say({ kind: 'bye', page });
      channel.close();
    },
  };
}
