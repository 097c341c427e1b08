import { evaluate } from '@brookrain/core';
import type { BuildStateReply } from '@brookrain/contract';
import { Inject, Injectable } from '@nestjs/common';
import { CatalogueStore } from '../catalogue/catalogueStore.ts';
import { BuildStore } from './buildStore.ts';

/** What stands against each build, worked out once a revision. */
@Injectable()
export class BuildStates {
  private readonly known = new Map<string, BuildStateReply>();

  constructor(
    @Inject(BuildStore) private readonly store: BuildStore,
    @Inject(CatalogueStore) private readonly catalogue: CatalogueStore,
  ) {}

  of(id: string): BuildStateReply {
    const { revision, document } = this.store.read(id);
    const known = this.known.get(id);
    if (known?.revision === revision) return known;
    const open = evaluate(document, this.catalogue.all()).findings.filter(
      (finding) => finding.accepted === undefined,
    );
    const state: BuildStateReply = {
      revision,
      stops: open.filter((finding) => finding.severity === 'stop').length,
      warnings: open.filter((finding) => finding.severity === 'warn').length,
    };
    this.known.set(id, state);
    return state;
  }
}
