import { Download, X } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { BandHead } from '../../parts/BandHead';
import { Button } from '../../parts/Button';
import { Progress } from '../../parts/Progress';
import { saveBlob } from '../../shell/save';
import type { Job } from '../../../export/queue';
import { queue, seen, useJobs } from './jobs';
import styles from './Export.module.css';

const duration = (seconds: number): string => {
  const s = Math.ceil(seconds);
  return s >= 90 ? `${Math.floor(s / 60)} min ${String(s % 60).padStart(2, '0')} s` : `${s} s`;
};

/** What is being rendered, what waits, and what reading the finished files back found. */
export function QueueBand() {
  const jobs = useJobs();
  useEffect(seen, []);
  return (
    <>
      <BandHead title="Queue">
        {jobs.length > 0 ? `${jobs.filter(({ state }) => state === 'done').length} of ${jobs.length} done` : null}
      </BandHead>
      {jobs.length === 0 ? (
        <p className={styles.none}>
          Rendered files appear here with their progress, and again when they were read back and counted. You can go on
          working meanwhile.
        </p>
      ) : (
        <ul className={styles.queue}>
          {[...jobs].reverse().map((job) => (
            <JobRow key={job.id} job={job} />
          ))}
        </ul>
      )}
    </>
  );
}

function JobRow({ job }: { job: Job }) {
  const { state, progress, says, result } = job;
  const share = state === 'done' ? 1 : progress ? progress.done / progress.of : 0;
  const row = useRef<HTMLLIElement>(null);
  const busy = state === 'running' || state === 'waiting';
  useEffect(() => {
    // the button that had the focus is gone with the state it belonged to
    if (!busy && document.activeElement === document.body && row.current?.dataset['busy'] === 'was')
      row.current.focus();
    if (busy && row.current) row.current.dataset['busy'] = 'was';
  }, [busy]);
  return (
    <li ref={row} tabIndex={-1} className={styles.job}>
      <span className={styles.name}>{job.name}</span>
      <Progress label={`Progress of ${job.name}`} share={share} muted={state === 'cancelled' || state === 'failed'} />
      <span className={state === 'failed' || (state === 'done' && !job.verified) ? styles.trouble : styles.says}>
        {words(job)}
      </span>
      {busy ? (
        <Button onPress={() => queue.cancel(job.id)}>Cancel</Button>
      ) : result ? (
        <Button onPress={() => saveBlob(result, job.name)}>
          <Download size={14} /> Save
        </Button>
      ) : (
        <span title={says} />
      )}
      <Button
        kind="bare"
        label={`Forget ${job.name}`}
        isDisabled={state === 'running'}
        onPress={() => queue.forget(job.id)}
      >
        <X size={14} />
      </Button>
    </li>
  );
}

function words({ state, progress, says }: Job): string {
  switch (state) {
    case 'waiting':
      return 'waiting';
    case 'running':
      return progress
        ? `${progress.done} of ${progress.of} frames${progress.left === null ? '' : ` · ${duration(progress.left)} left`}`
        : 'starting';
    case 'done':
      return `read back: ${says}`;
    case 'cancelled':
      return `cancelled, ${says}`;
    case 'failed':
      return says;
  }
}
