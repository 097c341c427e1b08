import { Dialog } from 'radix-ui';
import { useSearchParams } from 'react-router';
import { Working } from '../ui/Working.tsx';

/** The working of a figure that the address names: found by the palette, or sent as a link. */
export function FigureDialog() {
  const [query, setQuery] = useSearchParams();
  const figure = query.get('figure');
  if (figure === null) return null;
  const close = (): void => {
    const rest = new URLSearchParams(query);
    rest.delete('figure');
    setQuery(rest, { replace: true });
  };
  return (
    <Dialog.Root open onOpenChange={(open) => !open && close()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-[12vh] left-1/2 z-50 max-h-[80vh] w-[420px] max-w-[94vw] -translate-x-1/2 overflow-y-auto border border-ink bg-paper p-3"
        >
          <Dialog.Title className="sr-only">Working of a figure</Dialog.Title>
          <Working figure={figure} />
          <Dialog.Close className="act mt-3">Close</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
