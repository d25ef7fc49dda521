<script lang="ts">
  import type { JobHead, SurveyZone } from '../../api/types';
  import { appClock } from '../../app/clock.svelte';
  import Button from '../../parts/Button.svelte';
  import { left, when } from '../../parts/time';

  interface Props {
    job: JobHead;
    zone: SurveyZone;
    /** Begins the reading of a test that stands. */
    onread: (method: string, place: string) => void;
  }

  let { job, zone, onread }: Props = $props();

  const out = $derived(
    zone.report.testsOut.map((t) => {
      const from = new Date(t.from);
      const until = t.until === undefined ? null : new Date(t.until);
      const now = appClock.now;
      const zoneName = job.facts.timeZone;
      const state = now < from ? 'early' : until && now > until ? 'late' : 'open';
      const words =
        state === 'early'
          ? `come back ${when(from, zoneName, now)}${until ? `, before ${when(until, zoneName, now)}` : ''}`
          : state === 'late'
            ? 'stood too long: set a fresh one'
            : until
              ? `within ${left(until, now)}`
              : 'ready';
      return { ...t, state, words };
    }),
  );
</script>

{#if out.length > 0}
  <h2>Standing on the floor</h2>
  <ul>
    {#each out as t (t.key)}
      <li data-state={t.state}>
        <b>{t.title} at {t.place}</b>
        <span>{t.words}</span>
        {#if t.state !== 'early'}
          <Button kind="quiet" onclick={() => onread(t.method, t.place)}>Read it</Button>
        {/if}
      </li>
    {/each}
  </ul>
{/if}

<style>
  h2 {
    font-size: 20px;
    margin-block: 0 6px;
  }

  ul {
    margin-block-end: 18px;
  }

  li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 10px;
    padding-block: 5px;
    border-block-start: 1px solid var(--line);
  }

  span {
    color: var(--hold);
    font-weight: 500;
    font-size: 14px;
  }

  [data-state='open'] span {
    color: var(--chalk);
  }

  [data-state='late'] span {
    color: var(--stop);
  }
</style>
