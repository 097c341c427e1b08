import { setImmediate as nextTurn } from 'node:timers/promises';
import { fileTypes } from '@brookrain/core';
import {
  ArchiveMessage,
  type BuildStateReply,
  type BuildSummary,
  type ChangeMessage,
  CopyMessage,
  GoBackMessage,
  type ImportPreview,
  REVISIONS_A_PAGE,
  StartMessage,
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
  Res,
} from '@nestjs/common';
import { ApiConsumes, ApiOperation, ApiQuery, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { asAttachment } from '../asAttachment.ts';
import { NOBODY, bytesOf, fileBody, wholeNumber } from '../requests.ts';
import { ModelPipe } from '../modelPipe.ts';
import {
  MayBeBusy,
  MayBeMissing,
  MayConflict,
  Replies,
  Takes,
  TakesText,
} from '../openapi/replies.ts';
import { BuildEditor, type Change } from './buildEditor.ts';
import { BuildStarter } from './buildStarter.ts';
import { BuildStates } from './buildStates.ts';
import { BuildStore, type Sent } from './buildStore.ts';
import type { StoredBuild } from './storedBuild.ts';

const changeOf = (message: ChangeMessage): Change => ({
  baseRevision: message.baseRevision,
  generation: message.generation,
  author: message.author ?? NOBODY,
  editId: message.editId,
});

/** Sends text that was written before; a reader that has this version is told so. */
function sendJson(response: Response, { body, version }: Sent): void {
  response.setHeader('content-type', 'application/json; charset=utf-8');
  response.setHeader('etag', `"${version}"`);
  response.send(body);
}

/** Sends JSON that is text already; it is not hashed for a version that nobody asks for. */
function sendText(response: Response, text: string): void {
  response.setHeader('content-type', 'application/json; charset=utf-8');
  response.end(text);
}

@ApiTags('builds')
@Controller('api/builds')
export class BuildsController {
  constructor(
    @Inject(BuildStore) private readonly store: BuildStore,
    @Inject(BuildEditor) private readonly editor: BuildEditor,
    @Inject(BuildStarter) private readonly starter: BuildStarter,
    @Inject(BuildStates) private readonly states: BuildStates,
  ) {}

  @Get()
  @ApiOperation({ summary: 'All builds, archived or not' })
  @Replies(200, 'BuildSummary', 'The builds by name', true)
  list(): BuildSummary[] {
    return this.store.list();
  }

  @Post('start')
  @ApiOperation({ summary: 'Start a build from the answers of the guided start' })
  @Takes('StartMessage', 'The answers')
  @Replies(201, 'StartReply', 'The new build and what was proposed for it')
  start(@Body(new ModelPipe(StartMessage)) message: StartMessage, @Res() response: Response): void {
    sendText(response, this.starter.start(message));
  }

  /** The file is the body as text, so that its own errors can be told with their place. */
  @Post('import')
  @ApiOperation({ summary: 'Import a build file as a new build' })
  @ApiConsumes(fileTypes.json)
  @TakesText('The build file')
  @Replies(201, 'BuildReply', 'The new build')
  async importNew(@Body() text: unknown, @Res() response: Response): Promise<void> {
    await this.send(response, await this.editor.importNew(fileBody(text), NOBODY));
  }

  @Get(':id')
  @ApiOperation({ summary: 'One build in its newest revision' })
  @Replies(200, 'BuildReply', 'The build')
  @MayBeMissing()
  read(@Param('id') id: string, @Res() response: Response): void {
    sendJson(response, this.store.sentBuild(this.store.read(id)));
  }

  @Post(':id/copy')
  @ApiOperation({ summary: 'Copy a build, or branch off from one of its revisions' })
  @Takes('CopyMessage', 'Name of the copy, and the revision to branch off from')
  @Replies(201, 'BuildReply', 'The new build')
  @MayBeMissing()
  async copy(
    @Param('id') id: string,
    @Body(new ModelPipe(CopyMessage)) message: CopyMessage,
    @Res() response: Response,
  ): Promise<void> {
    await this.send(response, await this.starter.copy(id, message));
  }

  @Post(':id/archive')
  @HttpCode(200)
  @ApiOperation({ summary: 'Archive a build, or restore it' })
  @Takes('ArchiveMessage', 'Whether it is archived')
  @Replies(200, 'BuildReply', 'The build')
  @MayBeMissing()
  archive(
    @Param('id') id: string,
    @Body(new ModelPipe(ArchiveMessage)) message: ArchiveMessage,
    @Res() response: Response,
  ): Promise<void> {
    return this.send(response, this.starter.archive(id, message.archived));
  }

  @Get(':id/revisions')
  @ApiOperation({ summary: 'A page of the history of a build, newest first' })
  @ApiQuery({
    name: 'before',
    required: false,
    description: 'Revisions before this one',
    type: Number,
  })
  @ApiQuery({ name: 'find', required: false, description: 'Only those with these words in them' })
  @Replies(200, 'RevisionReply', `At most ${REVISIONS_A_PAGE} revisions`, true)
  @MayBeMissing()
  revisions(
    @Param('id') id: string,
    @Query('before') before: string | undefined,
    @Query('find') find: unknown,
    @Res() response: Response,
  ): void {
    const words = typeof find === 'string' ? find.slice(0, 200) : '';
    if (before === undefined && words === '') {
      sendJson(response, this.store.revisionsSent(id));
      return;
    }
    const from = before === undefined ? undefined : wholeNumber(before, 'before');
    response.json(this.store.revisions(id, { before: from, find: words, most: REVISIONS_A_PAGE }));
  }

  @Get(':id/revisions/:number')
  @ApiOperation({ summary: 'The document of a build as it was at a revision' })
  @Replies(200, 'RevisionDocumentReply', 'The document')
  @MayBeMissing()
  async revision(
    @Param('id') id: string,
    @Param('number') number: string,
    @Res() response: Response,
  ): Promise<void> {
    sendText(response, await this.starter.revision(id, wholeNumber(number, 'number')));
  }

  @Post(':id/go-back')
  @HttpCode(200)
  @ApiOperation({ summary: 'Make a build what it was at an earlier revision' })
  @Takes('GoBackMessage', 'The revision to go back to')
  @Replies(200, 'BuildReply', 'The build')
  @MayBeMissing()
  @MayConflict()
  async goBack(
    @Param('id') id: string,
    @Body(new ModelPipe(GoBackMessage)) message: GoBackMessage,
    @Res() response: Response,
  ): Promise<void> {
    await this.send(response, await this.editor.goBack(id, changeOf(message), message.revision));
  }

  @Get(':id/state')
  @ApiOperation({ summary: 'How many open stops and warnings a build has' })
  @Replies(200, 'BuildStateReply', 'The counts')
  @MayBeMissing()
  @MayBeBusy()
  state(@Param('id') id: string): Promise<BuildStateReply> {
    return this.states.of(id);
  }

  @Get(':id/build.json')
  @Header('content-type', 'application/json; charset=utf-8')
  @ApiOperation({ summary: 'A build as a file, with the catalogue items it uses' })
  @Replies(200, 'BuildFile', 'The file')
  @MayBeMissing()
  async file(@Param('id') id: string, @Res() response: Response): Promise<void> {
    const build = this.store.read(id);
    const text = await this.editor.buildFile(build);
    asAttachment(response, build.name, '.build.json');
    sendText(response, text);
  }

  @Post(':id/commands')
  @HttpCode(200)
  @ApiOperation({ summary: 'Make one edit' })
  @Takes('EditMessage', 'The command and the revision it started from')
  @Replies(200, 'BuildReply', 'The build with the edit made')
  @MayBeMissing()
  @MayConflict()
  async edit(
    @Param('id') id: string,
    @Body() body: unknown,
    @Res() response: Response,
  ): Promise<void> {
    await this.send(response, await this.editor.edit(id, bytesOf(body)));
  }

  @Post(':id/undo')
  @HttpCode(200)
  @ApiOperation({ summary: 'Undo the newest edit' })
  @Takes('StepMessage', 'The revision the person saw')
  @Replies(200, 'BuildReply', 'The build with the edit undone')
  @MayBeMissing()
  @MayConflict()
  async undo(
    @Param('id') id: string,
    @Body(new ModelPipe(StepMessage)) message: StepMessage,
    @Res() response: Response,
  ): Promise<void> {
    await this.send(response, await this.editor.step(id, changeOf(message), 'undo'));
  }

  @Post(':id/redo')
  @HttpCode(200)
  @ApiOperation({ summary: 'Redo the newest edit that was undone' })
  @Takes('StepMessage', 'The revision the person saw')
  @Replies(200, 'BuildReply', 'The build with the edit put back')
  @MayBeMissing()
  @MayConflict()
  async redo(
    @Param('id') id: string,
    @Body(new ModelPipe(StepMessage)) message: StepMessage,
    @Res() response: Response,
  ): Promise<void> {
    await this.send(response, await this.editor.step(id, changeOf(message), 'redo'));
  }

  @Post(':id/import/preview')
  @HttpCode(200)
  @ApiOperation({ summary: 'What importing a file over a build would change' })
  @ApiConsumes(fileTypes.json)
  @TakesText('The build file')
  @Replies(200, 'ImportPreview', 'The changes; nothing is written')
  @MayBeMissing()
  preview(@Param('id') id: string, @Body() text: unknown): Promise<ImportPreview> {
    return this.editor.preview(id, fileBody(text));
  }

  @Post(':id/import')
  @HttpCode(200)
  @ApiOperation({ summary: 'Import a file over a build, as one edit' })
  @ApiConsumes(fileTypes.json)
  @ApiQuery({ name: 'baseRevision', description: 'The revision the person saw', type: Number })
  @ApiQuery({
    name: 'generation',
    required: false,
    description: 'Generation of the data it was read from',
    type: String,
  })
  @TakesText('The build file')
  @Replies(200, 'BuildReply', 'The build')
  @MayBeMissing()
  @MayConflict()
  async importOver(
    @Param('id') id: string,
    @Query('baseRevision') baseRevision: string,
    @Query('generation') generation: unknown,
    @Body() text: unknown,
    @Res() response: Response,
  ): Promise<void> {
    const change = {
      baseRevision: wholeNumber(baseRevision, 'baseRevision'),
      generation: typeof generation === 'string' ? generation : undefined,
      author: NOBODY,
    };
    await this.send(response, await this.editor.importOver(id, change, fileBody(text)));
  }

  /** Sends a build that was just written, once others have had their turn. */
  private async send(response: Response, build: StoredBuild): Promise<void> {
    await nextTurn();
    sendJson(response, this.store.sentBuild(build));
  }
}
