import { expose } from 'comlink';
import { layFileWork } from './lay-file-work';

expose(layFileWork);
