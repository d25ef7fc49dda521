<script lang="ts">
  import { onDestroy } from 'svelte';
  import { type ApiProblem, asProblem } from '../../api/call';
  import { proposePlaces } from '../../api/client';
  import type { JobHead, ProposedPlace, SurveyZone } from '../../api/types';
  import type { JobDesk } from '../../app/job.svelte';
  import { Logging } from '../../app/logging.svelte';
  import Button from '../../parts/Button.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import PlanSketch from '../floor/PlanSketch.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: SurveyZone;
  }

  let { desk, job, zone }: Props = $props();

  const SETTLED_AFTER_MS = 350;

  const sending = new Logging();
  let proposed = $state.raw<readonly ProposedPlace[]>([]);
  let told = $state('');
  let problem = $state.raw<ApiProblem | null>(null);
  /** Moved here and not yet stored: a run of arrow presses is one move. */
  let moved = $state.raw<Record<string, { x: number; y: number }>>({});
  let settled: ReturnType<typeof setTimeout> | undefined;
  let writing = Promise.resolve();
  const places = $derived(
    zone.report.places.map((p) => ({ name: p.name, at: moved[p.name] ?? p.at })),
  );
  /** Read before anybody said where they are. */
  const read = $derived(
    proposed
      .map((p) => p.name)
      .filter((name) => zone.report.survey.entries.some((e) => e.reading.place === name)),
  );
  const byWall = $derived(proposed.find((p) => p.byWall));

  async function propose() {
    problem = null;
    told = '';
    try {
      proposed = await proposePlaces({ jobId: job.id, zoneId: zone.id });
      told =
        proposed.length === 0 ? 'Enough places are marked for every test that is asked for.' : '';
    } catch (e) {
      problem = asProblem(e);
    }
  }

  function move(name: string, at: { x: number; y: number }) {
    moved = { ...moved, [name]: at };
    clearTimeout(settled);
    settled = setTimeout(settle, SETTLED_AFTER_MS);
  }

  /** At once where the screen is left: a move is not lost with it. */
  function settle() {
    if (settled !== undefined) {
      clearTimeout(settled);
      settled = undefined;
      const zoneId = zone.id;
      writing = writing.then(() => store(zoneId));
    }
  }

  onDestroy(settle);

  async function store(zoneId: string) {
    for (const [name, at] of Object.entries(moved)) {
      if (await sending.mark(desk, zoneId, name, at)) {
        if (moved[name] === at) {
          moved = Object.fromEntries(Object.entries(moved).filter(([n]) => n !== name));
        }
      }
    }
  }

  /** One after the other, so that what was written stays written when the line breaks. */
  function markAll() {
    writing = writing.then(markEach);
  }

  async function markEach() {
    for (const place of proposed) {
      if (!(await sending.mark(desk, zone.id, place.name, place.at))) {
        return;
      }
      proposed = proposed.filter((p) => p !== place);
    }
  }
</script>

<svelte:window onpagehide={settle} />

<PlanSketch
  report={zone.report}
  sides={zone.facts.sides}
  width={300}
  {places}
  {proposed}
  areas={zone.report.areas}
  onmove={move}
/>
<Trouble problem={problem ?? sending.problem} />
{#if proposed.length > 0}
  <p>
    {proposed.length} places, spread over the floor and clear of walls and joints.
    {#if read.length > 0}{read.join(', ')}: read already, so drag them to where that was.{/if}
    {#if byWall}{byWall.name} is meant for an outside wall: move it to one.{/if}
  </p>
  <div class="buttons">
    <Button kind="main" disabled={sending.busy} onclick={markAll}>Mark them</Button>
    <Button onclick={() => (proposed = [])}>Not now</Button>
  </div>
{:else}
  <div class="buttons">
    <Button kind="quiet" onclick={() => void propose()}>Where to test</Button>
  </div>
  {#if told}<p role="status">{told}</p>{/if}
{/if}

<style>
  p {
    margin-block: 4px 8px;
    font-size: 14px;
    color: var(--ink-soft);
  }

  .buttons {
    display: flex;
    gap: 10px;
    margin-block: 4px 10px;
  }
</style>
