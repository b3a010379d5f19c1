/** A device somebody allows a page, and what can be done without it. */
export interface Asked {
  readonly what: 'microphone' | 'camera';
  readonly instead: string;
  /** What mends an address that is plain http. */
  readonly securely?: string;
}

/** Why a microphone or camera could not be opened, and what mends it. @param error what the browser threw */
export function mediaTrouble(error: unknown, { what, instead }: Asked): string {
  const name = error instanceof Error ? error.name : '';
  if (name === 'NotAllowedError' || name === 'SecurityError')
    return `The ${what} was refused. Allow it beside the address of this page, then press again.`;
  if (name === 'NotFoundError' || name === 'OverconstrainedError')
    return `No ${what} is there. Plug one in, or ${instead}.`;
  if (name === 'NotReadableError')
    return `Another program has the ${what}. Close it there, then press again.`;
  return `The ${what} could not be opened (${name || String(error)}): ${instead} meanwhile.`;
}

const here = 'Open Vow Step on this device itself or by https (see the README)';

/** Why this page may ask for none at all; null where it may. */
export function noMediaHere({ what, instead, securely = here }: Asked): string | null {
  const devices =
    typeof navigator === 'undefined' ? null : (navigator.mediaDevices as MediaDevices | undefined);
  if (devices !== undefined) return null;
  return window.isSecureContext
    ? `This browser gives no page a ${what}: ${instead}.`
    : `This address is plain http, where browsers give no page a ${what}. ${securely}; ${instead} meanwhile.`;
}
