import { type BuildFile, toBuildFile } from '@brookrain/core';
import {
  type BuildReply,
  type BuildSummary,
  EditMessage,
  type ImportPreview,
  type RevisionReply,
  StepMessage,
} from '@brookrain/contract';
import {
  Body,
  Controller,
  Get,
  Header,
  HttpCode,
  Inject,
  Param,
  Post,
  Query,
} from '@nestjs/common';
import { CatalogueStore } from '../catalogue/catalogueStore.ts';
import { badInput } from '../errors.ts';
import { ModelPipe } from '../modelPipe.ts';
import { BuildEditor } from './buildEditor.ts';
import { BuildStore } from './buildStore.ts';

const NOBODY = 'workshop';

@Controller('api/builds')
export class BuildsController {
  constructor(
    @Inject(BuildStore) private readonly store: BuildStore,
    @Inject(BuildEditor) private readonly editor: BuildEditor,
    @Inject(CatalogueStore) private readonly catalogue: CatalogueStore,
  ) {}

  @Get()
  list(): BuildSummary[] {
    return this.store.list();
  }

  @Get(':id')
  read(@Param('id') id: string): BuildReply {
    return this.store.read(id);
  }

  @Get(':id/revisions')
  revisions(@Param('id') id: string): RevisionReply[] {
    return this.store.revisions(id);
  }

  @Get(':id/build.json')
  @Header('content-type', 'application/json; charset=utf-8')
  file(@Param('id') id: string): BuildFile {
    return toBuildFile(this.store.read(id).document, this.catalogue.all());
  }

  @Post(':id/commands')
  @HttpCode(200)
  edit(
    @Param('id') id: string,
    @Body(new ModelPipe(EditMessage)) message: EditMessage,
  ): BuildReply {
    return this.editor.edit(id, message.baseRevision, message.command, message.author ?? NOBODY);
  }

  @Post(':id/undo')
  @HttpCode(200)
  undo(@Param('id') id: string, @Body(new ModelPipe(StepMessage)) m: StepMessage): BuildReply {
    return this.editor.step(id, m.baseRevision, 'undo', m.author ?? NOBODY);
  }

  @Post(':id/redo')
  @HttpCode(200)
  redo(@Param('id') id: string, @Body(new ModelPipe(StepMessage)) m: StepMessage): BuildReply {
    return this.editor.step(id, m.baseRevision, 'redo', m.author ?? NOBODY);
  }

  /** The file is the body as text, so that its own errors can be told with their place. */
  @Post('import')
  importNew(@Body() text: unknown): BuildReply {
    return this.editor.importNew(asText(text), NOBODY);
  }

  @Post(':id/import/preview')
  @HttpCode(200)
  preview(@Param('id') id: string, @Body() text: unknown): ImportPreview {
    return this.editor.preview(id, asText(text));
  }

  @Post(':id/import')
  @HttpCode(200)
  importOver(
    @Param('id') id: string,
    @Query('baseRevision') baseRevision: string,
    @Body() text: unknown,
  ): BuildReply {
    const base = Number(baseRevision);
    if (!Number.isInteger(base) || base < 1) {
      throw badInput([{ path: 'baseRevision', message: 'must be a whole number' }]);
    }
    return this.editor.importOver(id, base, asText(text), NOBODY);
  }
}

function asText(body: unknown): string {
  if (typeof body === 'string') return body;
  throw badInput([{ path: '', message: 'send the file as text/plain' }]);
}
