import { current } from 'immer';
import { type Build, readBuild } from './build.ts';
import type { BuildDocument } from './document.ts';
import type { DocumentDraft } from './edit.ts';

/** The build that a draft stands for at this moment. */
export const buildOf = (draft: DocumentDraft): Build => readBuild(current(draft) as BuildDocument);
