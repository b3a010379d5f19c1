/** Who writes. Until coaches sign in there is one coach, who goes by the session's; helpers write by their links. */
export type Actor =
  | { readonly kind: 'coach'; readonly name: string }
  | { readonly kind: 'helper'; readonly name: string; readonly sign: string };

/** What says who acts. */
interface Acts {
  readonly actor?: Actor;
}

const sessionsCoach: Actor = { kind: 'coach', name: '' };

/** Who a use case acts for. */
export const actorOf = ({ actor }: Acts): Actor => actor ?? sessionsCoach;

/** The name a write carries; null for the session's own coach. */
export const signatureOf = (context: Acts): string | null => actorOf(context).name || null;
