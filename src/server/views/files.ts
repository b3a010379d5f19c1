import { listTakeOvers } from '@/data/take-over';
import { actorOf } from '../base/actor';
import type { Context } from '../base/context';
import { may } from '../access/may';

export type { TookOver } from '../files/bring-in';
export type { TableLook } from '../files/import-tables';

export interface FilesView {
  /** Whether who looks may take all away, and bring files in. */
  readonly owner: boolean;
  /** What was brought in lately and can be taken back. */
  readonly brought: readonly { readonly id: string; readonly atMs: number; readonly name: string }[];
  readonly zone: string;
}

export async function filesView(context: Context): Promise<FilesView> {
  const owner = may(actorOf(context), 'rule');
  return { owner, brought: owner ? await listTakeOvers(context.db) : [], zone: context.zone ?? '' };
}
