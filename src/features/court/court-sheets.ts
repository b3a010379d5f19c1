/*
 * The sheets of the court, and what times the rest of its plan: fetched once the screen is alive and can count, and
 * kept for a reload without the server.
 */
export { AdjustDialog } from './adjust-panel';
export { CareSheet } from './care-sheet';
export { FinishSheet } from './finish-sheet';
export { bookingEndMs, overrunS, trimOffers } from '@/core/court/late';
export { leftBy } from './left-by';
export { KeysOnQuestion } from '@/features/help/keys-on-question';
export { MoreDialog } from './more-panel';
export { SessionHeldBack } from './session-held-back';
export { TimeSheet } from './time-sheet';
export { TypeCount } from './type-count';

export type CourtSheets = typeof import('./court-sheets');
