/** What is chosen; the one warm colour is for what to do now. */
export const chosenLook = 'border-ink! bg-ink! text-paper! hover:bg-ink!';
