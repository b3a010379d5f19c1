/* Counting by ear: fetched once the court can count, and kept for a reload without the server. */
export { warmEar } from '@/court/ear';
export { EarDesk } from './ear-desk';
export { offerEar } from './ear-button';
