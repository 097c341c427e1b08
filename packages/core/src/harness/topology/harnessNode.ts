import type { SegmentEnd } from '../model.ts';

/** An end of segments as one word: of a place of the vehicle, or of a breakout. */
export type NodeKey = string;

export const placeNode = (placementId: string): NodeKey => `place ${placementId}`;
export const breakoutNode = (breakoutId: string): NodeKey => `breakout ${breakoutId}`;

/** The node that an end of a segment stands at. */
export const nodeOfEnd = (end: SegmentEnd): NodeKey =>
  end.at === 'place' ? placeNode(end.placementId) : breakoutNode(end.breakoutId);
