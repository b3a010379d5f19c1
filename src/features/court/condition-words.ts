import type { Drill } from '@/drills/base/types';
import type { Conditions } from '@/core/counting/conditions';

/** What differs from the plan, in a few words; empty when nothing does. */
export function conditionWords(conditions: Conditions, drill: Pick<Drill, 'steps'>): string {
  const { stepId, picked, on, off, breathless, ball, feed } = conditions;
  const step = drill.steps.find((one) => one.id === stepId);
  return [
    step && `${step.title}${picked ? ' (own choice)' : ''}`,
    ...on,
    ...off.map((name) => `without ${name}`),
    ball && `${ball} ball`,
    feed && `${feed} feed`,
    breathless && 'shorter dose',
  ]
    .filter(Boolean)
    .join(', ');
}
