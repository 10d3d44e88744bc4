import { ArrowUpToLine, Download, FolderDown, Pause, Play, X } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { formatOf } from '../../../core/deliveries/formats';
import type { Job } from '../../../export/queue';
import { BandHead } from '../../parts/BandHead';
import { Button } from '../../parts/Button';
import { duration } from '../../parts/duration';
import { Progress } from '../../parts/Progress';
import { canSaveFolder, queue, saveJob, saveJobFolder, seen, useJobs } from './jobs';
import styles from './Export.module.css';

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
          Rendered files appear here with their progress, and again when they were read back and compared. You can go on
          working meanwhile. What is finished of a file stays on this disk: closing the page, or a crash, costs a second
          of video or one picture at most, and the rest goes on when Isomorph is open again.
        </p>
      ) : (
        <ul className={styles.queue}>
          {jobs.map((job, index) => (
            <JobRow key={job.id} job={job} ahead={jobs.slice(0, index).some(isOpen)} />
          ))}
        </ul>
      )}
    </>
  );
}

const isOpen = ({ state }: Job): boolean => state === 'running' || state === 'waiting';

function JobRow({ job, ahead }: { job: Job; ahead: boolean }) {
  const { id, name, state, done, of, verified } = job;
  const share = state === 'done' ? 1 : of > 0 ? done / of : 0;
  const row = useRef<HTMLLIElement>(null);
  const busy = isOpen(job);
  useEffect(() => {
    // the button that had the focus is gone with the state it belonged to
    if (!busy && document.activeElement === document.body && row.current?.dataset['busy'] === 'was')
      row.current.focus();
    if (busy && row.current) row.current.dataset['busy'] = 'was';
  }, [busy]);
  const well = state !== 'failed' && (state !== 'done' || verified);
  return (
    <li ref={row} tabIndex={-1} className={styles.job}>
      <span className={styles.name} title={name}>
        {name}
      </span>
      <Progress label={`Progress of ${name}`} share={share} muted={state === 'paused' || state === 'failed'} />
      <span className={well ? (state === 'done' ? styles.found : styles.says) : styles.trouble}>{words(job)}</span>
      <span className={styles.acts}>
        {state === 'waiting' && ahead ? (
          <Button kind="bare" label={`Render ${name} first`} onPress={() => void queue.first(id)}>
            <ArrowUpToLine size={14} />
          </Button>
        ) : null}
        {busy ? (
          <Button label={`Pause ${name}`} onPress={() => void queue.pause(id)}>
            <Pause size={13} /> Pause
          </Button>
        ) : state === 'done' ? (
          <>
            {canSaveFolder && formatOf(job.delivery.format).holds === 'pictures' ? (
              <Button
                kind="bare"
                label={`Save the pictures of ${name} into a folder`}
                onPress={() => void saveJobFolder(job)}
              >
                <FolderDown size={14} />
              </Button>
            ) : null}
            <Button onPress={() => void saveJob(job)}>
              <Download size={14} /> Save
            </Button>
          </>
        ) : (
          <Button onPress={() => void queue.goOn(id)}>
            <Play size={13} /> {state === 'failed' ? 'Try again' : 'Go on'}
          </Button>
        )}
      </span>
      <Button kind="bare" label={`Remove ${name}`} onPress={() => void queue.forget(id)}>
        <X size={14} />
      </Button>
    </li>
  );
}

function words({ state, done, of, left, says, verified }: Job): string {
  switch (state) {
    case 'waiting':
      return done > 0 ? `waiting, ${done} of ${of} frames kept` : 'waiting';
    case 'running':
      if (done === of) return 'putting it together and reading it back';
      return left === null && done === 0
        ? 'starting'
        : `${done} of ${of} frames${left === null ? '' : ` · ${duration(left)} left`}`;
    case 'paused':
      return `rests, ${done} of ${of} frames kept`;
    case 'done':
      return verified ? `verified: ${says}` : says;
    case 'failed':
      return says;
  }
}
