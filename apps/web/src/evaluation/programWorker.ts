import { expose } from 'comlink';
import { programWork } from './programWork.ts';

expose(programWork);
