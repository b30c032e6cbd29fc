import { parentPort, workerData } from 'node:worker_threads';
import { compare, type Job } from './compare.ts';
import { callsOf, type PhoneJob } from './phone.ts';

const job = workerData as Job | PhoneJob;
parentPort?.postMessage(job.way === 'phone' ? callsOf(job) : compare(job));
