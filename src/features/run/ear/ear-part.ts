/* Counting by ear: fetched once the court can count, and kept for a reload without the server. */
export { hearingOf } from '@/session/hearing';
export { warmEar } from '@/court/ear';
export { EarButton } from './ear-button';
export { EarDesk } from './ear-desk';
