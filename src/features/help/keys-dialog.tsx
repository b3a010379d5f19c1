import { Dialog } from '@/ui/dialog';
import { Keys } from './keys';

/** The keys, laid over whatever is on the screen. @lazy its file is fetched when it is asked for */
export function KeysDialog({ onClose }: { readonly onClose: () => void }) {
  return (
    <Dialog open onOpenChange={onClose} title="Keys">
      <Keys />
    </Dialog>
  );
}
