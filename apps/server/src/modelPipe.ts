import { messageIssues } from '@brookrain/contract';
import { Injectable, type PipeTransform } from '@nestjs/common';
import { badInput } from './errors.ts';

/** Checks a request body against a class of the contract. */
@Injectable()
export class ModelPipe<Model extends object> implements PipeTransform<unknown, Model> {
  constructor(private readonly model: new () => Model) {}

  transform(value: unknown): Model {
    const issues = messageIssues(this.model, value);
    if (issues.length > 0) throw badInput(issues);
    return value as Model;
  }
}
