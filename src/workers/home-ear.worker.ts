import { hear } from './ear-work';

/* The ear of a family's phone: the real microphone, and nothing else. */
hear();
