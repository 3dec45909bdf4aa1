import { expose } from 'comlink';
import { reckoning } from './reckoning';

expose(reckoning);
