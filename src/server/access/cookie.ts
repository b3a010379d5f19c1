/** The cookie a coach's browser comes with. */
export const coachCookie = 'vowstep-coach';
/** The cookie by which a browser is known that a coach signed in with before. */
export const knownCookie = 'vowstep-known';
