<script lang="ts">
  import { untrack } from 'svelte';
  import type { JobHead, ZoneHead } from '../../api/types';
  import type { JobDesk } from '../../app/job.svelte';
  import Button from '../../parts/Button.svelte';
  import { known } from '../../app/reference.svelte';
  import { jobHref } from '../../app/route.svelte';
  import Places from '../../parts/Places.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import DrawingDialog from './DrawingDialog.svelte';
  import EdgeRows from './EdgeRows.svelte';
  import FeatureRows from './FeatureRows.svelte';
  import LevelRows from './LevelRows.svelte';
  import PlanDrawing from './PlanDrawing.svelte';
  import PlanParts from './PlanParts.svelte';
  import PlanResults from './PlanResults.svelte';
  import PlanTools from './PlanTools.svelte';
  import SawRows from './SawRows.svelte';
  import WallTable from './WallTable.svelte';
  import { freshRoom } from './freshroom';
  import { freeId, PlanDesk } from './plan.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: ZoneHead;
    /** Which place of it. */
    section: string;
  }

  const PLACES = [
    { id: 'drawing', label: 'Drawing' },
    { id: 'walls', label: 'Walls' },
    { id: 'features', label: 'What is in it' },
    { id: 'levels', label: 'Levels and saw cuts' },
  ];

  let { desk, job, zone, section }: Props = $props();

  // the place is made anew for another job
  // svelte-ignore state_referenced_locally
  const plans = new PlanDesk(desk, job.id, job.facts.units);
  $effect(() => untrack(() => void plans.load()));
  $effect(() => {
    if (desk.othersWrote > 0) {
      untrack(() => void plans.catchUp());
    }
  });

  let chosen = $state('');
  let picked = $state('');
  let drawing = $state<PlanDrawing>();
  let importing = $state(false);

  /** The room the zone stands in, until another is picked. */
  const home = $derived(
    plans.draft.rooms.find((r) => r.marks.some((m) => m.zoneId === zone.id))?.id ?? '',
  );
  const shown = $derived(plans.room(picked || home));
  const typedZones = $derived(job.zones.filter((z) => z.facts.shape !== 'plan'));

  function newRoom() {
    const id = freeId('room-', plans.draft.rooms);
    plans.draft.rooms.push(freshRoom(id, id.replace('room-', 'Room ')));
    picked = id;
  }

  /** A drawing's first room is shown, if it brought one. */
  function closeDrawing(rooms: number) {
    importing = false;
    if (rooms > 0) {
      picked = plans.draft.rooms.at(-rooms)?.id ?? '';
    }
  }

  function onkeydown(event: KeyboardEvent) {
    if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z') {
      const way = event.shiftKey ? 'redo' : 'undo';
      if (way === 'undo' ? plans.canUndo : plans.canRedo) {
        event.preventDefault();
        void plans.step(way);
      }
    }
  }
</script>

<svelte:window {onkeydown} />

<header>
  <h1>Measure</h1>
  {#if plans.draft.rooms.length > 1}
    <nav aria-label="Rooms">
      {#each plans.draft.rooms as room (room.id)}
        <button
          type="button"
          aria-pressed={room.id === shown?.form.id}
          onclick={() => (picked = room.id)}>{room.name}</button
        >
      {/each}
    </nav>
  {/if}
  <div class="tools">
    <Button disabled={!plans.canUndo} onclick={() => void plans.step('undo')}>Undo</Button>
    <Button disabled={!plans.canRedo} onclick={() => void plans.step('redo')}>Redo</Button>
    {#if plans.loaded}
      <Button onclick={newRoom}>New room</Button>
      <Button onclick={() => (importing = true)}>From a drawing</Button>
    {/if}
  </div>
</header>

<Trouble
  problem={plans.problem}
  shown={plans.problem?.faults.map((f) => f.field).filter((f) => f.startsWith('rooms[')) ?? []}
/>
{#if plans.problem?.status === 412}
  <div class="tools">
    <Button kind="main" onclick={() => void plans.save()}>Save mine over it</Button>
    <Button onclick={() => void plans.takeTheirs()}>Take theirs</Button>
  </div>
{/if}

{#if shown}
  {@const plan = shown.plan}
  <Places places={PLACES} {section} href={(id) => jobHref(job.id, zone.id, 'plan', id)} />
  <div class="columns">
    <div id="at-drawing">
      {#if plan}
        <PlanDrawing
          bind:this={drawing}
          {plan}
          zones={job.zones}
          units={plans.units}
          {chosen}
          north={plans.report?.north ?? 0}
          onchoose={(run) => (chosen = run)}
          onmove={(corner, x, y) => plans.moveCorner(plan.id, corner, x, y)}
        />
        <PlanTools
          jobId={job.id}
          {plan}
          onzoom={(by) => drawing?.zoom(by)}
          onfit={() => drawing?.fitAll()}
        />
        <PlanResults {plan} />
        <PlanParts desk={plans} {job} {plan} />
      {:else}
        <p class="empty">Two walls, and the plan begins to show.</p>
      {/if}
    </div>
    <div>
      <div id="at-walls" class="roomname">
        <label>Room <input bind:value={shown.form.name} onchange={() => void plans.save()} /></label
        >
        <label
          >North <input
            class="north"
            inputmode="decimal"
            placeholder="0°"
            title="Degrees that north lies to the right of up"
            aria-invalid={plans.problem?.faults.some((f) => f.field === 'north')}
            bind:value={plans.draft.north}
            oninput={() => plans.typing()}
            onchange={() => void plans.save()}
          /></label
        >
      </div>
      <WallTable
        desk={plans}
        room={shown.form}
        {plan}
        {chosen}
        onchoose={(run) => (chosen = run)}
      />
      <h2 id="at-features">What is in it</h2>
      {#each known.view?.roomFeatures ?? [] as kind (kind.list)}
        <FeatureRows desk={plans} room={shown.form} {plan} {kind} />
      {/each}
      <EdgeRows desk={plans} room={shown.form} {plan} />
      <div id="at-levels"></div>
      <LevelRows desk={plans} jobId={job.id} room={shown.form} {plan} />
      {#if plan}<SawRows desk={plans} jobId={job.id} room={shown.form} {plan} />{/if}
    </div>
  </div>
{:else if plans.loaded}
  <p class="empty">
    Nothing is on the plan yet. Put a zone of typed sides on it and walk on from there, or begin a
    room of its own.
  </p>
{/if}

{#if importing}
  <DrawingDialog desk={plans} onclose={closeDrawing} />
{/if}

{#if plans.loaded && typedZones.length > 0}
  <section class="typed" aria-label="Zones of typed sides">
    <h2>Zones of typed sides</h2>
    {#each typedZones as z (z.id)}
      <p>
        <b>{z.report.name}</b>
        {z.report.area.text}
        <Button disabled={plans.busy} onclick={() => void plans.walk(z.id)}>Put on the plan</Button>
      </p>
    {/each}
  </section>
{/if}

<style>
  header {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 20px;
    margin-block-end: 12px;
  }

  h1 {
    font-size: 30px;
  }

  h2 {
    font-size: 20px;
    margin-block: 18px 6px;
  }

  nav {
    display: flex;
    flex-wrap: wrap;
  }

  nav button {
    min-block-size: var(--tap);
    padding: 0 12px;
    border: 0;
    border-block-end: 3px solid transparent;
    background: none;
    font-weight: 600;
    cursor: pointer;
  }

  nav button[aria-pressed='true'] {
    border-color: var(--chalk);
  }

  .tools {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
  }

  header .tools {
    margin-inline-start: auto;
  }

  .columns {
    display: grid;
    grid-template-columns: minmax(0, 1.25fr) minmax(340px, 1fr);
    gap: 28px;
  }

  .empty {
    color: var(--ink-soft);
  }

  .roomname {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 16px;
    margin-block-end: 8px;
  }

  .roomname label {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 10px;
    align-items: center;
    font-weight: 500;
    min-inline-size: 0;
  }

  .roomname .north {
    inline-size: 64px;
    text-align: center;
  }

  .typed p {
    display: flex;
    gap: 14px;
    align-items: center;
  }

  @media (max-width: 1100px) {
    .columns {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
