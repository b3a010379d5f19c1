import type { ChildFacts } from '@/session/plan/build/needs';
import type { Context } from '../base/context';
import { resultsReady } from '../court/results';
import { childFacts } from '../readers/child-facts';

/** What is known of children that says which drills would help them. */
export async function childFactsView(context: Context, playerIds: readonly string[]): Promise<ChildFacts[]> {
  await resultsReady(context.db);
  return childFacts(context, playerIds);
}
