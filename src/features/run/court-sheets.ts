/*
 * The sheets of the court: fetched once the screen is alive and can count, and kept for a reload without the server.
 */
export { AdjustDialog } from './adjust-panel';
export { CareSheet } from './care-sheet';
export { FinishSheet } from './finish-sheet';
export { MoreDialog } from './more-panel';
export { SessionHeldBack } from './session-held-back';
export { TimeSheet } from './time-sheet';
export { TypeCount } from './type-count';

export type CourtSheets = typeof import('./court-sheets');
