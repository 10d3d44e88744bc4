import { liveQuery } from 'dexie';
import { database, type StoredJob } from './database';

/** All jobs, the next one first. */
export const allJobs = (): Promise<StoredJob[]> => database.jobs.orderBy('order').toArray();

export const putJob = async (job: StoredJob): Promise<void> => void (await database.jobs.put(job));

/** Changes a job that is there. @returns whether it is */
export const changeJob = async (id: string, change: Partial<StoredJob>): Promise<boolean> =>
  database.transaction('rw', database.jobs, async () => {
    const job = await database.jobs.get(id);
    if (!job) return false;
    await database.jobs.put({ ...job, ...change });
    return true;
  });

export const removeJob = (id: string): Promise<void> => database.jobs.delete(id);

/** Tells all jobs now, and whenever this page or another changes one. @returns ends it */
export function watchJobs(tell: (jobs: StoredJob[]) => void): () => void {
  const subscription = liveQuery(allJobs).subscribe({
    next: tell,
    // without a store there is nothing to tell
    error: () => undefined,
  });
  return () => subscription.unsubscribe();
}
