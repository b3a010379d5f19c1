/** The cookie a coach's browser comes with. */
export const coachCookie = 'vowstep-coach';
