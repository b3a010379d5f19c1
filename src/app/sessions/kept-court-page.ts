import { pack, type Packed } from '@/ui/packed';
import type { Context } from '@/server/base/context';
import { keptView } from '@/server/views/kept-views';
import { courtPage } from '@/server/views/court-page';

type Opened = NonNullable<Awaited<ReturnType<typeof courtPage>>>;

/** A session as it is run, packed, for every page that is drawn from it; null where there is none. */
export const keptCourtPage = (context: Context, sessionId: string): Promise<Packed<Opened> | null> =>
  keptView(context, `run ${sessionId}`, async () => {
    const opened = await courtPage(context, sessionId);
    return opened && pack(opened);
  });
