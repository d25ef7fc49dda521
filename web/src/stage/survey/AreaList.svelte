<script lang="ts">
  import type { JobHead, SurveyZone } from '../../api/types';
  import type { JobDesk } from '../../app/job.svelte';
  import { Logging } from '../../app/logging.svelte';
  import { known } from '../../app/reference.svelte';
  import Button from '../../parts/Button.svelte';
  import FigureButton from '../../parts/FigureButton.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import PhotoStrip from './PhotoStrip.svelte';
  import DrawArea from './DrawArea.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: SurveyZone;
  }

  let { desk, job, zone }: Props = $props();
  let drawing = $state(false);
  const striking = new Logging();

  const areas = $derived(zone.report.areas);
  const label = (defect: string) =>
    known.view?.defects.find((d) => d.id === defect)?.label ?? defect;
</script>

<section aria-labelledby="areas-head">
  <h2 id="areas-head">On the floor</h2>
  {#if areas.length === 0}
    <p class="none">
      Nothing is drawn. Oil, sealer, hollow or damp places are drawn where they are.
    </p>
  {:else}
    <p class="shares">
      {#each zone.report.shares as share (share.defect)}
        <span>{share.label} <FigureButton figure={share.share} /></span>
      {/each}
    </p>
    <Trouble problem={striking.problem} />
    <ul>
      {#each areas as { area, gone } (area.key)}
        <li>
          <b>{area.name}</b>
          <span>{label(area.defect)}{gone ? `, proved gone at ${gone.place}` : ''}</span>
          {#if area.key !== ''}<PhotoStrip
              {desk}
              entryKey={area.key}
              of={label(area.defect)}
              at={area.name}
            /><Button
              kind="quiet"
              disabled={striking.busy}
              onclick={() => void striking.strike(desk, zone.id, area.key)}
              >Strike<span class="unseen"> {area.name}</span></Button
            >{/if}
        </li>
      {/each}
    </ul>
  {/if}
  <Button onclick={() => (drawing = true)}>Draw an area</Button>
</section>

{#if drawing}<DrawArea {desk} {job} {zone} onclose={() => (drawing = false)} />{/if}

<style>
  section {
    margin-block-end: 20px;
  }

  h2 {
    font-size: 20px;
    margin-block-end: 6px;
  }

  .none,
  li span {
    color: var(--ink-soft);
    font-size: 14px;
  }

  .none {
    margin-block-end: 8px;
  }

  .shares {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 16px;
  }

  ul {
    margin-block-end: 8px;
  }

  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0 8px;
    align-items: center;
    border-block-start: 1px solid var(--line);
  }

  li b {
    padding-block-start: 4px;
  }

  li > span {
    grid-row: 2;
    padding-block-end: 4px;
  }

  li :global(button) {
    grid-row: 1 / 3;
    grid-column: 2;
  }
</style>
