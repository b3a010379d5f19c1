/** Who acts: a coach who signed in (or, while nobody has a passcode, whoever sits there), or a helper by their link. */
export type Actor =
  | {
      readonly kind: 'coach';
      /** Empty while nobody has to sign in: the session's own coach. */
      readonly name: string;
      readonly role: 'owner' | 'coach';
      /** Null while nobody has to sign in. */
      readonly id: string | null;
    }
  | { readonly kind: 'helper'; readonly name: string; readonly sign: string };

/** What says who acts. */
interface Acts {
  readonly actor?: Actor;
}

/** Whoever sits at the computer itself while nobody has a passcode: the owner, who writes as the session's coach. */
export const sessionsCoach: Actor = { kind: 'coach', name: '', role: 'owner', id: null };

/** Who a use case acts for. */
export const actorOf = ({ actor }: Acts): Actor => actor ?? sessionsCoach;

/** Whose a page is that is kept on a device: a coach’s, by their number, or nobody’s in particular while nobody signs in. */
export const whoseOf = (context: Acts): string => {
  const actor = actorOf(context);
  return actor.kind === 'coach' ? (actor.id ?? 'anybody') : 'link';
};

/** The name a write carries; null for the session's own coach. */
export const signatureOf = (context: Acts): string | null => actorOf(context).name || null;
