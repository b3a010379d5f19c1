import { done, refused, type Outcome } from '@/core/base/outcome';
import { saveFile } from './save-file';

/** A file the server makes: where it is asked for, and what it is saved as. */
export interface FileAsked {
  readonly address: string;
  /** The name it is saved under. */
  readonly name: string;
  /** Sent as a form's fields, by POST: what must not stand in an address. Without them it is read by GET. */
  readonly fields?: Readonly<Record<string, string>>;
}

/**
 * Asks for a file and hands it to the browser to save. A native form or link would leave the page for the answer where the
 * answer is a refusal; here the refusal is an outcome.
 */
export async function fetchFile({ address, name, fields }: FileAsked): Promise<Outcome<null>> {
  try {
    const answer = await fetch(
      address,
      fields ? { method: 'POST', body: new URLSearchParams(fields) } : { cache: 'no-store' },
    );
    if (!answer.ok) return refused('file', await sentenceOf(answer));
    saveFile(name, await answer.blob());
    return done(null);
  } catch {
    return refused('server', 'The server could not be reached: try again when it is back.');
  }
}

/** What a refusal says: problems as JSON, or one line of text. */
async function sentenceOf(answer: Response): Promise<string> {
  const text = (await answer.text()).trim();
  try {
    const { problems } = JSON.parse(text) as { problems?: readonly { message: string }[] };
    if (problems?.[0]) return problems[0].message;
  } catch {
    if (text !== '' && text.length < 300 && !text.startsWith('<')) return text;
  }
  return 'The file could not be made: try again.';
}
