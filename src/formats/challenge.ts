import { done, refused, type Outcome } from '@/core/base/outcome';
import { isSoundText } from '@/core/base/text';
import { challengeKinds, type ChallengeKind } from '@/core/challenges/challenge';

/**
 * A club's results in a challenge, for another club: no names, no ids, one number a player. By kind it is the touches
 * (`together`), 1 or 0 for a new best or none (`best`), or the share of a player's own days it is better than, in
 * hundredths (`level`).
 */
export interface ClubResults {
  readonly club: string;
  readonly title: string;
  readonly kind: ChallengeKind;
  readonly drillId: string;
  readonly stepId: string;
  readonly fromDay: string;
  readonly untilDay: string;
  readonly results: readonly number[];
}

export const challengeFormat = 'vowstep-challenge';
export const challengeVersion = 1;
/** A club has no more players in a challenge than this. Ours. */
const mostResults = 200;

export const writeClubResults = (own: ClubResults): string =>
  `${JSON.stringify({ format: challengeFormat, version: challengeVersion, ...own }, null, 2)}\n`;

/** Reads such a file, already parsed. @returns what it says, or what is wrong, with its place */
export function readClubResults(input: unknown): Outcome<ClubResults> {
  if (
    typeof input !== 'object' ||
    input === null ||
    (input as { format?: unknown }).format !== challengeFormat
  )
    return refused(
      'file',
      'This file holds no results of a challenge: choose one a club took away from its board.',
    );
  const { version, ...file } = input as Record<string, unknown>;
  if (version !== challengeVersion)
    return refused(
      'version',
      `The file is of version ${String(version).slice(0, 20)}, and this Vow Step reads ${challengeVersion}.`,
    );
  const text = (name: string, most: number): string | null => {
    const value = file[name];
    return typeof value === 'string' && value.trim() !== '' && value.length <= most && isSoundText(value)
      ? value.trim()
      : null;
  };
  const [club, title, drillId, stepId] = [
    text('club', 60),
    text('title', 80),
    text('drillId', 80),
    text('stepId', 80),
  ];
  if (!club)
    return refused('club', 'club is missing or longer than 60 letters: the file does not say whose it is.');
  if (!title || !drillId || !stepId)
    return refused('title', 'The file does not say which challenge it is of: it was changed.');
  const kind = challengeKinds.find((one) => one === file.kind);
  if (!kind) return refused('kind', 'kind must be one of best, together, level: the file was changed.');
  const day = (name: string) =>
    typeof file[name] === 'string' && /^\d{4}-\d{2}-\d{2}$/.test(file[name]) ? file[name] : null;
  const [fromDay, untilDay] = [day('fromDay'), day('untilDay')];
  if (!fromDay || !untilDay) return refused('fromDay', 'The file does not say its days: it was changed.');
  const { results } = file;
  if (!Array.isArray(results) || results.length === 0 || results.length > mostResults)
    return refused('results', `results must be a list of 1 to ${mostResults} numbers.`);
  if (!results.every((one) => typeof one === 'number' && one >= 0 && one <= 100_000))
    return refused('results', 'results must be numbers from 0 to 100000.');
  return done({ club, title, kind, drillId, stepId, fromDay, untilDay, results: results as number[] });
}
