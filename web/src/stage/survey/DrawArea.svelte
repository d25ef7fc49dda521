<script lang="ts">
  import type { JobHead, SurveyZone } from '../../api/types';
  import type { JobDesk } from '../../app/job.svelte';
  import { Logging } from '../../app/logging.svelte';
  import { known } from '../../app/reference.svelte';
  import Button from '../../parts/Button.svelte';
  import ChoiceEntry from '../../parts/ChoiceEntry.svelte';
  import Dialog from '../../parts/Dialog.svelte';
  import StillHere from '../../parts/StillHere.svelte';
  import { Draft } from '../../parts/draft.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import RingEntry from '../floor/RingEntry.svelte';
  import { cornersOf } from '../floor/ring';
  import type { Sketch } from '../floor/sketch';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: SurveyZone;
    onclose: () => void;
  }

  let { desk, job, zone, onclose }: Props = $props();

  // svelte-ignore state_referenced_locally
  const kept = new Draft(`area ${zone.id}`, { defect: 'OIL', name: '', typed: '' });
  const units = $derived(job.facts.units);
  const ring = $derived(cornersOf(kept.value.typed, units));
  const sending = new Logging();

  const defects = $derived(known.view?.defects ?? []);
  const chosen = $derived(defects.find((d) => d.id === kept.value.defect));

  async function save(event: SubmitEvent) {
    event.preventDefault();
    if (
      await sending.write(desk, zone.id, 'AREA', kept.value.defect, {
        place: kept.value.name,
        ring,
      })
    ) {
      kept.sent();
      onclose();
    }
  }
</script>

<Dialog title="Draw what is on the floor" {onclose}>
  <form onsubmit={save} novalidate>
    <StillHere draft={kept} />
    <Trouble problem={sending.problem} shown={['place', 'by', 'ring']} />
    <div class="grid">
      <ChoiceEntry label="What it is" choices={defects} bind:value={kept.value.defect} />
      <TextEntry
        label="Name"
        hint="a word for it: Press, Door"
        fault={sending.fault('place')}
        bind:value={kept.value.name}
      />
    </div>
    {#if chosen}
      <p class="means">{chosen.consequence}</p>
    {/if}
    <RingEntry
      outline={zone.report.outline.corners}
      {units}
      of={zone.report.name}
      fault={sending.fault('ring')}
      bind:typed={kept.value.typed}
    >
      {#snippet besides(drawn: Sketch)}
        {#each zone.report.areas as a (a.area.key)}
          <path class="other" d={drawn.path(a.area.ring)} />
        {/each}
        {#each zone.report.places as p (p.name)}
          <text x={drawn.px(p.at.x)} y={drawn.py(p.at.y) + 5}>{p.name}</text>
        {/each}
      {/snippet}
    </RingEntry>
    <TextEntry label="By" fault={sending.fault('by')} bind:value={sending.by} autocomplete="name" />
    <Button kind="main" type="submit" disabled={sending.busy || ring.length < 3}>Save area</Button>
  </form>
</Dialog>

<style>
  .grid {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 2px 16px;
  }

  .means {
    color: var(--ink-soft);
    font-size: 14px;
    margin-block-end: 8px;
    max-inline-size: 68ch;
  }

  .other {
    fill: var(--ink);
    fill-opacity: 0.07;
    stroke: var(--ink-soft);
    stroke-dasharray: 4 3;
  }

  text {
    font: 600 15px var(--figures);
    fill: var(--chalk);
    text-anchor: middle;
  }

  @media (max-width: 700px) {
    .grid {
      grid-template-columns: 1fr;
    }
  }
</style>
