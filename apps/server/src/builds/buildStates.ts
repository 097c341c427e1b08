import type { BuildStateReply } from '@brookrain/contract';
import { Inject, Injectable } from '@nestjs/common';
import { WorkQueue } from '../work/workQueue.ts';
import { BuildStore } from './buildStore.ts';
import { Newest } from './newest.ts';

/** Builds whose states are remembered. */
const REMEMBERED = 4000;

/** What stands against each build, worked out once a revision. */
@Injectable()
export class BuildStates {
  private readonly known = new Newest<Promise<BuildStateReply>>(REMEMBERED);

  constructor(
    @Inject(BuildStore) private readonly store: BuildStore,
    @Inject(WorkQueue) private readonly work: WorkQueue,
  ) {}

  of(id: string): Promise<BuildStateReply> {
    const build = this.store.read(id);
    const key = `${id}@${build.revision}`;
    const known = this.known.get(key);
    if (known) return known;
    const state = this.work.state(build);
    this.known.set(key, state);
    // What could not be worked out is asked for anew.
    state.catch(() => this.known.delete(key));
    return state;
  }
}
