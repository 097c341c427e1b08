import {
  type Attitude,
  type Build,
  type Placement,
  type Solid,
  type TankOnMap,
  attitudeWords,
  fuelShape,
  pushOf,
} from '@brookrain/core';

/** Part of its fuel that the tank is drawn with. */
const SHARE = 0.25;
const WIDTH = 520;
const MARGIN = 34;

/** The tank with a quarter of its fuel, from the side or from behind, as a push stands its surface. */
export function TankDrawing({
  solid,
  onMap,
  outlet,
  back,
  attitude,
  use,
}: {
  solid: Solid;
  onMap: TankOnMap;
  outlet: Placement | undefined;
  back: Placement | undefined;
  attitude: Attitude;
  use: Build['brief']['use'];
}) {
  const push = pushOf(attitude, use);
  const fromBehind = push.left !== 0;
  // From behind the left side is on the left: across runs to the right of the vehicle.
  const [low, high] = fromBehind
    ? [-solid.high.y.value, -solid.low.y.value]
    : [solid.low.x.value, solid.high.x.value];
  const bottom = solid.low.z.value;
  const width = high - low;
  const height = solid.high.z.value - bottom;
  const slope = fromBehind ? -push.left : push.forward;
  const fuel = fuelShape({ width, height, slope, share: SHARE });
  const scale = (WIDTH - 2 * MARGIN) / Math.max(width, 1.4 * height);
  const x = (across: number): number => MARGIN + across * scale;
  const y = (up: number): number => MARGIN + (height - up) * scale;
  const acrossOf = (place: Placement): number => {
    const at = fromBehind ? -place.y.value : place.x.value;
    return Math.min(width, Math.max(0, at - low));
  };
  const pickup =
    outlet && ([acrossOf(outlet), Math.min(height, onMap.pickupHeight.value)] as const);
  const dry = pickup !== undefined && !isIn(pickup, fuel);
  return (
    <figure>
      <figcaption className="text-[13px] text-second">
        {fromBehind ? 'From behind' : 'From the right, front to the right'}, a quarter tank,{' '}
        {attitudeWords[attitude]}
      </figcaption>
      <svg
        viewBox={`0 0 ${2 * MARGIN + width * scale} ${2 * MARGIN + height * scale}`}
        role="img"
        aria-label={`Tank with a quarter of its fuel, ${attitudeWords[attitude]}${dry ? ': the pickup is dry' : ''}`}
        className="max-h-[300px] w-full border-[0.75px] border-hair"
      >
        <path
          d={fuel.map(([a, b], i) => `${i === 0 ? 'M' : 'L'}${x(a)} ${y(b)}`).join('') + 'Z'}
          fill="var(--moss)"
          fillOpacity="0.22"
          stroke="var(--moss)"
        />
        <rect
          x={x(0)}
          y={y(height)}
          width={width * scale}
          height={height * scale}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="2"
        />
        {pickup && (
          <>
            <line
              x1={x(pickup[0])}
              x2={x(pickup[0])}
              y1={y(onMap.pickup === 'draw-tube' || onMap.pickup === 'hanger' ? height : 0)}
              y2={y(pickup[1])}
              stroke="var(--ink)"
              strokeWidth="4"
            />
            <text
              x={x(pickup[0]) + (pickup[0] > width / 2 ? -10 : 10)}
              y={y(pickup[1]) - 8}
              textAnchor={pickup[0] > width / 2 ? 'end' : 'start'}
              fill={dry ? 'var(--signal)' : 'var(--ink)'}
              className="text-[13px]"
            >
              {dry ? 'Pickup, dry' : 'Pickup'}
            </text>
          </>
        )}
        {back && (
          <>
            <circle
              cx={x(acrossOf(back))}
              cy={y(Math.min(height, Math.max(0, back.z.value - bottom)))}
              r="5"
              fill="var(--paper)"
              stroke="var(--ink)"
            />
            <text
              x={x(acrossOf(back))}
              y={y(Math.min(height, Math.max(0, back.z.value - bottom))) - 10}
              textAnchor="middle"
              className="text-[13px]"
              fill="var(--second)"
            >
              Return
            </text>
          </>
        )}
      </svg>
    </figure>
  );
}

/** Whether a place lies within an outline whose corners run round to the left. */
const isIn = (
  [px, py]: readonly [number, number],
  outline: readonly (readonly [number, number])[],
): boolean =>
  outline.every(([ax, ay], i) => {
    const [bx, by] = outline[(i + 1) % outline.length] ?? [ax, ay];
    return (bx - ax) * (py - ay) - (by - ay) * (px - ax) >= -1e-9;
  });
