<script lang="ts">
  import type { JobHead, RoomPlan, ZoneForm } from '../../api/types';
  import Button from '../../parts/Button.svelte';
  import { freshZone } from './freshzone';
  import type { PlanDesk } from './plan.svelte';

  interface Props {
    desk: PlanDesk;
    job: JobHead;
    plan: RoomPlan;
  }

  let { desk, job, plan }: Props = $props();
  let naming = $state(-1);
  let name = $state('');

  const zoneName = (id: string | undefined) =>
    job.zones.find((z) => z.id === id)?.report.name ?? '';
  const free = $derived(plan.pieces.filter((p) => !p.zoneId));

  function begin(i: number) {
    naming = i;
    name = `${plan.name} ${job.zones.length + 1}`;
  }

  async function make(event: SubmitEvent, i: number) {
    event.preventDefault();
    const piece = plan.pieces[i];
    const like = job.zones[0]?.facts;
    if (!piece) {
      return;
    }
    const zone: ZoneForm = {
      ...freshZone(job.facts),
      ...like,
      name,
      shape: 'plan',
      sides: {},
    };
    await desk.addZone(plan.id, piece.label, zone);
    if (!desk.problem) {
      naming = -1;
    }
  }
</script>

<section aria-label="Zones of {plan.name}">
  <h2>Zones</h2>
  <ul>
    {#each plan.pieces as piece, i (i)}
      <li>
        <span
          >{#if piece.zoneId}<b>{zoneName(piece.zoneId)}</b>{:else}in no zone yet{/if}</span
        >
        <span class="area">{piece.area}</span>
        {#if !piece.zoneId}
          {#if naming === i}
            <form onsubmit={(e) => void make(e, i)}>
              <input aria-label="Name of the zone" bind:value={name} />
              <Button type="submit" kind="main">Make it</Button>
            </form>
          {:else}
            <Button onclick={() => begin(i)}>Make it a zone</Button>
          {/if}
        {/if}
      </li>
    {/each}
  </ul>
  {#if free.length === 0 && plan.pieces.length > 0}
    <p>Zones and cut-outs add up to the floor. A zone line parts a zone in two.</p>
  {/if}
</section>

<style>
  h2 {
    font-size: 20px;
    margin-block: 18px 4px;
  }

  li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 12px;
    min-block-size: var(--tap);
    border-block-start: 1px solid var(--line);
  }

  .area {
    font: 600 18px var(--figures);
  }

  form {
    display: flex;
    gap: 8px;
  }

  p {
    color: var(--ink-soft);
    font-size: 14px;
  }
</style>
