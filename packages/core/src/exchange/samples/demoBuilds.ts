import type { BuildDocument } from '../../model/index.ts';
import { kittiwake } from './kittiwake.ts';
import { lantern } from './lantern.ts';
import { sandpiper } from './sandpiper.ts';

/** The shipped builds by the id under which they are kept. */
export const demoBuilds: readonly { readonly id: string; readonly document: BuildDocument }[] = [
  { id: 'lantern', document: lantern },
  { id: 'sandpiper', document: sandpiper },
  { id: 'kittiwake', document: kittiwake },
];
