<script lang="ts">
  import type { Begin, JobHead, ServiceZone } from '../../api/types';
  import type { JobDesk } from '../../app/job.svelte';
  import { person } from '../../app/person.svelte';
  import { go, jobHref } from '../../app/route.svelte';
  import Button from '../../parts/Button.svelte';
  import { FormState } from '../../parts/form.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { happened } from '../../parts/time';
  import RingEntry from '../floor/RingEntry.svelte';
  import { areaOf, cornersOf } from '../floor/ring';
  import type { Sketch } from '../floor/sketch';
  import Earlier from '../prep/Earlier.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: ServiceZone;
  }

  let { desk, job, zone }: Props = $props();

  const M2_PER_FT2 = 0.09290304;
  const sending = new FormState();

  let chosen = $state.raw<Begin | null>(null);
  let by = $state(person.name);
  let why = $state('');
  let patch = $state('');
  let corners = $state('');
  let earlier = $state('');
  const repair = $derived(chosen?.kind === 'REPAIR');
  const units = $derived(job.facts.units);
  const ring = $derived(cornersOf(corners, units));
  /** What was drawn, in words; what was measured beats it. */
  const drawnSize = $derived(
    ring.length < 3
      ? ''
      : units === 'US'
        ? `${(areaOf(ring) / M2_PER_FT2).toFixed(1)} ft²`
        : `${areaOf(ring).toFixed(2)} m²`,
  );

  const patched = $derived(zone.report.cycles.filter((c) => c.ring.length > 0));

  async function begin(event: SubmitEvent) {
    event.preventDefault();
    if (!chosen) {
      return;
    }
    const form = {
      kind: chosen.kind,
      by,
      why,
      ...(repair && { patch, ...(ring.length > 0 && { ring }) }),
      ...happened(earlier, job.facts.timeZone),
    };
    if (await sending.send([zone.id, form], (key) => desk.beginCycle(zone.id, key, form))) {
      person.remember(by);
      go(jobHref(job.id, zone.id, 'prep'));
    }
  }
</script>

<section aria-labelledby="next-head">
  <h2 id="next-head">The next time</h2>
  <ul>
    {#each zone.report.begins as next (next.kind)}
      <li class:chosen={chosen?.kind === next.kind}>
        <button
          type="button"
          disabled={next.whyNot !== ''}
          aria-pressed={chosen?.kind === next.kind}
          onclick={() => (chosen = next)}>{next.label}</button
        >
        <span
          >{next.what}{#if next.whyNot}<b>{next.whyNot}</b>{/if}</span
        >
      </li>
    {/each}
  </ul>
  {#if chosen}
    <form onsubmit={begin} novalidate data-versioned>
      <p>
        Readings, steps, tests and coats from now on belong to it. What was done so far stays, and
        stays readable.
      </p>
      {#if chosen.asksWhy}<p class="hold">This time is not through: {chosen.asksWhy}.</p>{/if}
      <Trouble problem={sending.problem} shown={['by', 'why', 'patch', 'ring', 'at']} />
      {#if repair}
        <p>
          Where the patch lies: tap round it. It is found there next time, and is taped and tested
          there.
        </p>
        <RingEntry
          outline={zone.report.outline.corners}
          {units}
          of={zone.report.name}
          fault={sending.fault('ring')}
          bind:typed={corners}
        >
          {#snippet besides(drawn: Sketch)}
            {#each patched as before (before.number)}
              <path class="before" d={drawn.path(before.ring)} />
            {/each}
          {/snippet}
        </RingEntry>
      {/if}
      <div class="grid">
        {#if repair}
          <TextEntry
            label="How large is the patch"
            hint={drawnSize
              ? `${drawnSize} as drawn; what you measured beats it`
              : units === 'US'
                ? 'such as 40 ft²'
                : 'such as 4 m²'}
            fault={sending.fault('patch')}
            bind:value={patch}
          />
        {/if}
        <TextEntry
          label={chosen.asksWhy ? 'Why it ends here' : 'What for'}
          fault={sending.fault('why')}
          bind:value={why}
        />
        <TextEntry label="By" fault={sending.fault('by')} bind:value={by} autocomplete="name" />
        <Earlier timeZone={job.facts.timeZone} fault={sending.fault('at')} bind:value={earlier} />
      </div>
      <div class="buttons">
        <Button kind="main" type="submit" disabled={sending.busy}>Begin: {chosen.label}</Button>
        <Button kind="quiet" onclick={() => (chosen = null)}>Not now</Button>
      </div>
    </form>
  {/if}
</section>

<style>
  h2 {
    font-size: 20px;
    margin-block-end: 6px;
  }

  ul {
    list-style: none;
    padding: 0;
  }

  li {
    display: grid;
    grid-template-columns: 168px 1fr;
    gap: 16px;
    align-items: center;
    border-block-start: 1px solid var(--line);
    color: var(--ink-soft);
    font-size: 15px;
  }

  li button {
    min-block-size: var(--tap);
    border: 0;
    padding: 0;
    background: none;
    color: var(--chalk);
    font-weight: 600;
    text-align: start;
    text-decoration: underline;
    cursor: pointer;
  }

  li button:disabled {
    color: var(--ink-soft);
    text-decoration: none;
    cursor: default;
  }

  li b {
    display: block;
    font-weight: 600;
  }

  .chosen {
    border-block-start: 3px solid var(--ink);
  }

  form {
    padding-block: 10px;
    border-block-start: 3px solid var(--ink);
  }

  .hold {
    color: var(--hold);
    font-weight: 600;
  }

  .before {
    fill: var(--ink);
    fill-opacity: 0.07;
    stroke: var(--ink-soft);
    stroke-dasharray: 4 3;
  }

  .grid {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
    gap: 0 16px;
    margin-block: 8px;
  }

  .buttons {
    display: flex;
    gap: 10px;
  }

  @media (max-width: 759px) {
    li {
      grid-template-columns: 112px 1fr;
      gap: 10px;
    }
  }
</style>
