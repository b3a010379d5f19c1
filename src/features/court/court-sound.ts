/* What a block sounds like, made of its clock: fetched once the court can count. */
export { sequenceCues } from '@/core/court/calls/sequence-cues';
export { soundTimeline } from '@/core/court/calls/timeline';
