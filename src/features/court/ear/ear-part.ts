import { warmEar } from '@/court/ear';
import { courtEar } from './ear-sources';

/* Counting by ear: fetched once the court can count, and kept for a reload without the server. */
export const warm = () => warmEar(courtEar);
export { EarDesk } from './ear-desk';
export { offersOf } from './ear-button';
