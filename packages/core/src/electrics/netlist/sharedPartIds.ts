/** Ids of the parts that every build has, whatever its devices are. */
export const sharedPartIds = {
  battery: 'battery',
  mainFuse: 'main-fuse',
  stud: 'stud',
  keyedFeed: 'keyed-feed',
} as const;
