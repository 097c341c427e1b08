import type { BuildDocument } from '@brookrain/core';
import { BuildEditor, type Change } from '../builds/buildEditor.ts';
import { BuildStore } from '../builds/buildStore.ts';
import type { StoredBuild } from '../builds/storedBuild.ts';
import type { TestServer } from './testServer.ts';

/** The server's own store and editor, with documents as objects. */
export function openDocuments({ server }: TestServer) {
  const store = server.app.get(BuildStore);
  const editor = server.app.get(BuildEditor);
  return {
    store,
    editor,
    edit: (id: string, change: Change, command: object): Promise<StoredBuild> =>
      editor.edit(id, Buffer.from(JSON.stringify({ ...change, command }))),
    documentNow: (id: string): BuildDocument =>
      JSON.parse(store.read(id).asText.text) as BuildDocument,
    documentAt: async (id: string, revision: number): Promise<BuildDocument> =>
      JSON.parse((await editor.documentAt(id, revision)).text) as BuildDocument,
  };
}
