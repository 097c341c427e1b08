import { expose } from 'comlink';
import { evaluationWork } from './evaluationWork.ts';

expose(evaluationWork);
