import {
  EditMessage,
  type Issue,
  jsonFault,
  jsonTooMuch,
  messageIssues,
} from '@brookrain/contract';
import { badInput } from '../errors.ts';

const refuse = (message: string): never => {
  throw badInput([{ path: '', message }]);
};

function bodyText(body: Uint8Array): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(body);
  } catch {
    return refuse('the request is not plain UTF-8');
  }
}

/** Reads an edit as it was sent: bounded before it is parsed. Throws 400 with the place of a mistake. */
export function readEditMessage(body: Uint8Array): EditMessage {
  const tooMuch = jsonTooMuch(body);
  if (tooMuch !== undefined) refuse(tooMuch);
  const text = bodyText(body);
  let message: unknown;
  try {
    message = JSON.parse(text);
  } catch (cause) {
    refuse(`the request is ${jsonFault(cause)}`);
  }
  const issues: readonly Issue[] = messageIssues(EditMessage, message);
  if (issues.length > 0) throw badInput(issues);
  return message as EditMessage;
}
