import { figureNames, single } from '../results/index.ts';

/** Figures of wires, fuses and relays. The first pump feed needs no name in a key. */
export const electricsFigure = figureNames({
  'wire.length': 'wire.{wire}.length',
  'wire.mapLength': 'wire.{wire}.mapLength',
  'wire.temperature': 'wire.{wire}.temperature',
  'wire.ampacity': 'wire.{wire}.ampacity',
  'wire.resistance': 'wire.{wire}.resistance',
  'wire.area': 'wire.{wire}.area',
  'wire.drop': 'wire.{wire}.drop',
  'wire.decidedBy': 'wire.{wire}.decidedBy',
  'fuse.deviceRating': 'fuse.{device}.rating',
  voltage: 'voltage.{device}.{case}',
  'ground.drop': 'ground.{ground}.drop',
  sensorError: 'sensorError.{device}',
  'load.total': 'load.{case}.total',
  'alternator.available': 'alternator.{case}.available',
  'alternator.margin': 'alternator.{case}.margin',
  'battery.covers': 'battery.{case}.covers',
  ...single(
    'battery.drain',
    'battery.daysUntilFlat',
    'panel.width',
    'panel.height',
    'sneakPaths.count',
    'sneakPaths.states',
    'failures.pumpRunsOn',
  ),
  'switch.band': 'switch.{switch}.band.{condition}',
  'switch.primeCharge': 'switch.{switch}.primeCharge',
  'switch.afterRunCharge': 'switch.{switch}.afterRunCharge',
  'can.termination': 'can.{bus}.termination',
  pin: 'pin.{signal}',
  spare: 'spare.{capability}',
  'feed.seriesResistance': 'wire.pumpFeed{.feed}.seriesResistance',
  'feed.area': 'wire.pumpFeed{.feed}.area',
  'feed.drop': 'wire.pumpFeed{.feed}.drop',
  'mainFeed.drop': 'wire.mainFeed{.feed}.drop',
  'fuse.rating': 'fuse.pumpFeed{.feed}.rating',
  'fuse.whenHot': 'fuse.pumpFeed{.feed}.whenHot',
  'relay.coilCurrent': 'relay.pumpFeed{.feed}.coilCurrent',
});

/** Names a pump feed in a figure: the first of a build needs no name. */
export const feedScope = (index: number, id: string): { readonly feed?: string } =>
  index === 0 ? {} : { feed: id };
