import { Dialog } from 'radix-ui';
import { Link } from 'react-router';
import { shortcuts } from './shortcuts.ts';

/** The keys, and where to read more. */
export function HelpSheet({ close }: { close: () => void }) {
  return (
    <Dialog.Root open onOpenChange={(open) => !open && close()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content className="fixed left-1/2 top-1/2 z-50 max-h-[90vh] w-[520px] max-w-[94vw] -translate-x-1/2 -translate-y-1/2 overflow-y-auto border border-ink bg-paper p-4">
          <Dialog.Title className="text-[17px] font-medium">Help</Dialog.Title>
          <Dialog.Description className="mt-1 text-second">
            Work down the list on the left. Every underlined figure opens its working; every word
            with a dotted line says what it means.
          </Dialog.Description>
          <table className="mt-3 w-full">
            <tbody>
              {shortcuts.map(({ keys, words }) => (
                <tr key={keys} className="rule">
                  <td className="w-[170px] py-1 font-code text-[13px]">{keys}</td>
                  <td className="py-1">{words}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-3 flex gap-4">
            <Link className="underline" to="/guide" onClick={close}>
              Read the guide
            </Link>
            <Link className="underline" to="/words" onClick={close}>
              All words
            </Link>
            <span className="flex-1" />
            <Dialog.Close className="act">Close</Dialog.Close>
          </p>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
