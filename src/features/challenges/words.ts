import type { ChallengeKind } from '@/core/challenges/challenge';
import { counted, inThousands } from '@/core/base/words';
import type { ChallengeFacts } from '@/server/views/challenges';
import type { AgeRule } from '@/session/challenges/challenge-rules';
import { shortDay } from '@/ui/dates';

/** The kinds of challenge, as a coach calls them. */
export const kindWords: Readonly<Record<ChallengeKind, readonly [title: string, what: string]>> = {
  best: ['Own best plus one', 'Everybody goes for a new best of their own.'],
  together: ['Together', 'All touches add up to one number.'],
  pairs: ['Pairs', 'Two rally in turn: the longest row of each pair, towards one number.'],
  level: [
    'Level ground',
    'Each result is set against what could be expected of that player, so that the youngest can win.',
  ],
};

/** What stands on the card of a challenge, the rules by age after it. */
export function cardWords({
  bounceRule,
  drill,
  step,
  rules,
  fromDay,
  untilDay,
  attempts,
  goal,
  kind,
}: ChallengeFacts): string[] {
  return [
    `${drill}: ${step}.`,
    kindWords[kind][1],
    `${shortDay(fromDay)} to ${shortDay(untilDay)}${attempts === null ? '' : `, ${counted(attempts, 'attempt')} each`}.`,
    ...(goal === null
      ? []
      : [
          kind === 'pairs'
            ? `${inThousands(goal)} in a row, the two in turn.`
            : `${inThousands(goal)} touches together.`,
        ]),
    ...(bounceRule === null ? [] : [`${bounceRule[0]!.toUpperCase()}${bounceRule.slice(1)}.`]),
    ...(rules === '' ? [] : [rules]),
  ];
}

/** How long it goes on. */
export function daysLeftWords({ daysLeft }: Pick<ChallengeFacts, 'daysLeft'>): string {
  return daysLeft === 0 ? 'over' : daysLeft === 1 ? 'last day' : `${daysLeft} days left`;
}

/** The ages a rule is for: "5 years", "7 to 9 years". */
export const agesInWords = ({ fromAge, toAge }: Pick<AgeRule, 'fromAge' | 'toAge'>): string =>
  fromAge === toAge ? `${fromAge} years` : `${fromAge} to ${toAge} years`;
