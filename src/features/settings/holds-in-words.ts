import { counted } from '@/core/base/words';
import type { CopyFacts } from '@/server/views/settings';

export const holdsInWords = (holds: NonNullable<CopyFacts['holds']>) =>
  [counted(holds.players, 'player'), counted(holds.sessions, 'session'), counted(holds.marks, 'mark')].join(
    ', ',
  );
