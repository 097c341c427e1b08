import { type HarnessListKind, harnessFigure } from '@brookrain/core';
import { Link } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { Downloads } from '../../ui/Downloads.tsx';
import { Figure } from '../../ui/Figure.tsx';
import { Screen } from '../../ui/Screen.tsx';

const bothKinds = ['csv', 'pdf'] as const;

const lists: readonly {
  readonly kind: HarnessListKind | 'cut-list' | 'reels' | 'buying';
  readonly name: string;
  readonly what: string;
  readonly kinds?: readonly ('csv' | 'pdf')[];
}[] = [
  {
    kind: 'cut-list',
    name: 'Cut list',
    what: 'wires by reel, the longest first, with what is left to cut',
  },
  {
    kind: 'reels',
    name: 'Reels',
    what: 'each length of wire that is bought, and which wires are cut from it',
    kinds: ['csv'],
  },
  {
    kind: 'pins',
    name: 'Pin lists',
    what: 'each connector cavity by cavity: wire, contact, where it goes',
  },
  {
    kind: 'from-to',
    name: 'From-to list',
    what: 'each wire from end to end, and through which segments',
  },
  {
    kind: 'bundles',
    name: 'Bundles and sleeves',
    what: 'each segment with its length, cover and wires',
  },
  {
    kind: 'joints',
    name: 'Joints',
    what: 'each splice and each piece put in: where, which wires, its sleeve',
  },
  {
    kind: 'labels',
    name: 'Labels',
    what: 'both ends of every wire, with a code that opens the page of its part',
  },
  { kind: 'buying', name: 'Order list', what: 'all of it to buy, with what is lost in crimping' },
];

/** Everything that a harness is made from, as lists on paper and for a spreadsheet. */
export function ListsScreen() {
  const { id, document: build, evaluation } = useBuild();
  return (
    <Screen
      title="Harness lists"
      lead="What goes to the bench: every list is made from the same wires, so that none says other than the next."
    >
      <table className="table-lined w-full max-w-[860px]" aria-label="Lists of the harness">
        <tbody>
          {lists.map(({ kind, name, what, kinds = bothKinds }) => (
            <tr key={kind}>
              <td className="w-[170px] font-medium">{name}</td>
              <td className="text-left text-second max-[600px]:hidden">{what}</td>
              <td className="w-[170px]">
                <Downloads
                  of=""
                  file={
                    kind === 'cut-list' || kind === 'reels' || kind === 'buying'
                      ? `/api/builds/${id}/${kind}`
                      : `/api/builds/${id}/lists/${kind}`
                  }
                  kinds={kinds}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-3 flex flex-wrap gap-x-6 gap-y-1">
        <span>
          {evaluation.wires.length} wires, {evaluation.harness.connectors.length} plugs
        </span>
        {build.harness.segments.length > 0 && (
          <>
            <span>
              Mass <Figure of={harnessFigure('harness.weight')} />
            </span>
            <span>
              Material <Figure of={harnessFigure('harness.cost')} /> {build.currency}
            </span>
          </>
        )}
      </p>
      <p className="mt-3 max-w-[68ch] text-[13px] text-second">
        Codes on labels open this computer. Open it to the workshop first, under{' '}
        <Link to="/settings" className="underline">
          Settings
        </Link>
        , if a phone is to read them. The board itself is under{' '}
        <Link to="../formboard" relative="path" className="underline">
          Formboard
        </Link>
        .
      </p>
    </Screen>
  );
}
