<script lang="ts">
  import { type ApiProblem, asProblem } from '../../api/call';
  import { sawCuts } from '../../api/client';
  import type { RoomForm, RoomPlan, SawCuts } from '../../api/types';
  import Button from '../../parts/Button.svelte';
  import Fold from '../../parts/Fold.svelte';
  import FigureButton from '../../parts/FigureButton.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import { freeId, place, type PlanDesk } from './plan.svelte';

  interface Props {
    desk: PlanDesk;
    jobId: string;
    room: RoomForm;
    plan: RoomPlan;
  }

  let { desk, jobId, room, plan }: Props = $props();
  let thickness = $state('');
  let early = $state(false);
  let proposed = $state.raw<SawCuts | null>(null);
  let problem = $state.raw<ApiProblem | null>(null);

  async function propose(event: SubmitEvent) {
    event.preventDefault();
    try {
      proposed = await sawCuts({ jobId, roomId: plan.id }, { thickness, early });
      problem = null;
    } catch (e) {
      problem = asProblem(e);
      proposed = null;
    }
  }

  /** The proposal becomes control joints of the plan, to be marked and cut. */
  async function take() {
    const depth = proposed?.depth.text ?? '';
    const width = desk.units === 'US' ? '1/8"' : '3 mm';
    for (const line of proposed?.lines ?? []) {
      room.joints.push({
        id: freeId('saw-', room.joints),
        kind: 'CONTROL',
        from: place(line.from.x, line.from.y, desk.units),
        to: place(line.to.x, line.to.y, desk.units),
        width,
        depth,
        marked: false,
        buried: false,
        recut: false,
        parts: false,
      });
    }
    proposed = null;
    await desk.save();
  }
</script>

<Fold
  title="Saw cuts for a new slab"
  about="Plain slabs only: with fibre or post-tensioning an engineer decides. Early-entry saws cut shallower, sooner."
>
  <form onsubmit={(e) => void propose(e)} novalidate>
    <TextEntry
      label="Thickness of the slab"
      hint={desk.units === 'US' ? 'in' : 'mm'}
      fault={problem?.faults.find((f) => f.field === 'thickness')}
      bind:value={thickness}
    />
    <label><input type="checkbox" bind:checked={early} /> Early-entry saw</label>
    <Button type="submit">Propose</Button>
  </form>
  {#if proposed}
    <p class="proposal">
      <b>{proposed.lines.length} cuts</b>, <FigureButton figure={proposed.depth} /> deep, at most
      <FigureButton figure={proposed.atMost} /> apart, {proposed.when}.
    </p>
    <Button kind="main" disabled={desk.busy} onclick={() => void take()}
      >Put them on the plan</Button
    >
  {/if}
</Fold>

<style>
  .proposal {
    color: var(--ink);
    font-size: 16px;
  }

  form {
    display: grid;
    grid-template-columns: 1fr auto auto;
    gap: 12px;
    align-items: center;
  }

  label {
    display: flex;
    gap: 8px;
    align-items: center;
    min-block-size: var(--tap);
  }

  @media (max-width: 759px) {
    form {
      grid-template-columns: 1fr;
      gap: 0;
    }
  }
</style>
