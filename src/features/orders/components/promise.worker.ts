import { expose } from 'comlink';
import { promiseWork } from '../promise-answer';

expose(promiseWork);
