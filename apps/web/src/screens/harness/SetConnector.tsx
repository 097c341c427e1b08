import { type ToldHole, harnessFigure, newestOf, refOf, wayPins } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { Figure } from '../../ui/Figure.tsx';

/** Share of its ways that a new connector keeps free. */
const SPARE = 1.1;
/** A connector is set so much of its segment before the hole. */
const BEFORE = 0.04;

/** How a hole is passed: the connector that is set into it, or a grommet with the choice of one. */
export function SetConnector({ hole }: { hole: ToldHole }) {
  const { document: build, catalogue, evaluation, edit } = useBuild();
  const device = build.devices.find(({ id }) => id === hole.connectorId);
  // Studs beside a connector are another one at the same place.
  const isBeside = evaluation.harness.inline.some(
    ({ partId, past }) => partId === hole.connectorId && past.length > 0,
  );
  if (device) {
    return (
      <>
        {device.name}
        {isBeside && (
          <span className="block text-[13px] text-second">
            beside it <Figure of={harnessFigure('connector.beside', { connector: device.id })} />
          </span>
        )}
      </>
    );
  }
  const [segmentId] = hole.segments;
  const [item] = newestOf(catalogue, 'device')
    .filter((each) => each.role === 'connector' && each.plugFamily !== 'ring terminal')
    .filter((each) => wayPins(each).length >= hole.contacts * SPARE)
    .sort((a, b) => wayPins(a).length - wayPins(b).length);
  return (
    <>
      a grommet
      {item && segmentId !== undefined && (
        <button
          type="button"
          className="act ml-2"
          title={`${item.designation} for ${hole.contacts} wires`}
          onClick={() => {
            const at = Math.min(0.99, Math.max(0.01, hole.share - BEFORE));
            const share = { value: at, unit: '%' };
            edit({ name: 'put-connector', segmentId, share, item: refOf(item) });
          }}
        >
          Set a connector
        </button>
      )}
    </>
  );
}
