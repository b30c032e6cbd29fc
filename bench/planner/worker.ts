import { parentPort, workerData } from 'node:worker_threads';
import { compare, type Job } from './compare.ts';

parentPort?.postMessage(compare(workerData as Job));
