import { clearDevice, tellSignedOut, unsafeHere } from '@/court/clear-device';
import { countStills, dropAllStills } from '@/court/stills';
import { countDrafts, dropAllDrafts } from '@/ui/drafts';

/** What rests on this device alone, when somebody wants to sign out. */
export interface Rests {
  /** Marks the server does not have yet: they stay, under no name. */
  readonly marks: number;
  /** What was typed and not saved: it goes. */
  readonly drafts: number;
  /** Stills of clips: they stay, unless they are to go. */
  readonly stills: number;
}

export async function whatRests(): Promise<Rests> {
  const [marks, stills] = await Promise.all([
    unsafeHere().catch(() => 0),
    typeof indexedDB === 'undefined' ? 0 : countStills().catch(() => 0),
  ]);
  return { marks, stills, drafts: countDrafts() };
}

/** Leaves nothing of the squad on this device but what is nowhere else. @param stills whether stills of clips go too */
export async function leaveDevice({ stills }: { readonly stills: boolean }): Promise<void> {
  dropAllDrafts();
  await clearDevice();
  if (stills) await dropAllStills().catch(() => undefined);
  tellSignedOut();
}
