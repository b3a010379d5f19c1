import type { Proposal } from '@/session/plan/build/job';

/** How sure it is that there is no better session. */
export function proofWords(
  { proof, gap }: Pick<Proposal, 'proof' | 'gap'>,
  { first, going, stopped }: { first: boolean; going: boolean; stopped: boolean },
): string {
  const of = first ? '' : ' of those that share at most half with the first';
  const on = going ? ' Looking on…' : stopped ? ' Stopped there.' : '';
  switch (proof) {
    case 'quick':
      return going
        ? 'A good one; looking for better…'
        : 'A good one; whether there is a better one was not looked at.';
    case 'within':
      return `At most ${(Math.ceil(1000 * gap!) / 10).toFixed(1)} % below the best possible${of}.${on}`;
    case 'proven':
      return `Proven best${of}.`;
    case 'open':
      return `The best found in the time${of}; not proven.${on}`;
  }
}
