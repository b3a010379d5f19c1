import { done, refused, type Outcome, type Problem } from '@/core/base/outcome';

/** How far an import is, 0 to 1: sending it is the first part, having it checked the second. */
export type OnShare = (share: number, word: 'Sending' | 'Checking') => void;

interface News<T> {
  readonly checked?: number;
  readonly of?: number;
  readonly done?: T;
  readonly problems?: readonly Problem[];
}

/** Sends a file and follows the answer line by line; leaving it brings nothing in. */
export function sendFile<T>(
  address: string,
  text: string,
  onShare: OnShare,
  signal: AbortSignal,
): Promise<Outcome<T>> {
  return new Promise((resolve) => {
    // Not fetch: it does not tell how much of a body has gone.
    const request = new XMLHttpRequest();
    let read = 0;
    let last: News<T> = {};
    const take = () => {
      const end = request.responseText.lastIndexOf('\n') + 1;
      for (const line of request.responseText.slice(read, end).split('\n').filter(Boolean)) {
        last = JSON.parse(line) as News<T>;
        if (last.of) onShare((last.checked ?? 0) / last.of, 'Checking');
      }
      read = end;
    };
    const lost = () =>
      resolve(
        refused(
          'server',
          signal.aborted
            ? 'This was left off. Nothing was brought in.'
            : 'The server could not be reached or could not take this: try again.',
        ),
      );
    request.open('POST', address);
    request.setRequestHeader('content-type', 'application/json');
    request.upload.onprogress = ({ loaded, total }) => onShare(total > 0 ? loaded / total : 0, 'Sending');
    request.onprogress = take;
    request.onerror = request.onabort = lost;
    request.onload = () => {
      const refusal = request.status === 200 ? undefined : refusedAs(request.responseText);
      if (refusal) return resolve(refusal);
      if (request.status !== 200) return lost();
      take();
      if (last.done !== undefined) return resolve(done(last.done));
      if (last.problems) return resolve({ ok: false, problems: last.problems });
      lost();
    };
    signal.addEventListener('abort', () => request.abort());
    request.send(text);
  });
}

/** The problems an answer names; nothing where it is none of ours. */
function refusedAs(text: string): Outcome<never> | undefined {
  try {
    const { problems } = JSON.parse(text) as { problems?: readonly Problem[] };
    return problems && { ok: false, problems };
  } catch {
    return undefined;
  }
}
