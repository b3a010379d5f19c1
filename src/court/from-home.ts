import type { TouchEvent } from '@/core/counting/event';

/**
 * Was a mark made on a family's page or in a file for home? On a device that has both, the court's pages leave them to
 * those: they go through a door of their own.
 */
export const isFromHome = ({ device }: Pick<TouchEvent, 'device'>): boolean => /^(?:home|file)-/.test(device);
