import { Dialog } from '@/ui/dialog';
import { Keys } from './keys';

/** The keys, laid over whatever is on the screen. */
export function KeysDialog({ onClose }: { readonly onClose: () => void }) {
  return (
    <Dialog open onOpenChange={onClose} title="Keys">
      <Keys />
    </Dialog>
  );
}
