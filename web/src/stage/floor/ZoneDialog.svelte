<script lang="ts">
  import { echoShape } from '../../api/client';
  import type { EchoView, JobHead, ZoneForm, ZoneHead } from '../../api/types';
  import type { JobDesk } from '../../app/job.svelte';
  import { known } from '../../app/reference.svelte';
  import { go, jobHref } from '../../app/route.svelte';
  import Button from '../../parts/Button.svelte';
  import Dialog from '../../parts/Dialog.svelte';
  import ChoiceEntry from '../../parts/ChoiceEntry.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import FieldEntry from '../../parts/FieldEntry.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import StillHere from '../../parts/StillHere.svelte';
  import { Draft } from '../../parts/draft.svelte';
  import { FormState } from '../../parts/form.svelte';
  import { freshZone } from './freshzone';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    /** The zone to edit; left out for a new one. */
    zone?: ZoneHead;
    onclose: () => void;
  }

  let { desk, job, zone, onclose }: Props = $props();

  const fresh = (): ZoneForm => freshZone(job.facts);
  // a draft starts from the zone as it was when the dialog opened
  // svelte-ignore state_referenced_locally
  const kept = new Draft<ZoneForm>(
    `zone ${zone?.id ?? job.id}`,
    zone
      ? {
          ...zone.facts,
          sides: { ...fresh().sides, ...zone.facts.sides },
          settings: { ...fresh().settings, ...zone.facts.settings },
        }
      : fresh(),
  );
  const draft = $derived(kept.value);
  const sending = new FormState();
  let echo = $state.raw<EchoView | null>(null);

  const units = $derived(job.facts.units);
  const sides = $derived(known.view?.shapes[draft.shape] ?? []);
  const settings = $derived([...(known.view?.crew ?? []), ...(known.view?.settings ?? [])]);
  const typed = $derived(Object.fromEntries(sides.map((f) => [f.id, draft.sides[f.id] ?? ''])));
  const shown = $derived([
    'name',
    ...sides.map((f) => `sides.${f.id}`),
    ...settings.map((f) => `settings.${f.id}`),
  ]);

  // what the tape comes to, while it is typed: asked of the core, which reads it as it will when it is saved
  $effect(() => {
    const asked = { shape: draft.shape, sides: typed, units };
    if (sides.length === 0 || Object.values(asked.sides).some((t) => t.trim() === '')) {
      echo = null;
      return;
    }
    const timer = setTimeout(() => {
      echoShape(asked.shape, asked.sides, asked.units).then(
        (e) => (echo = e),
        () => (echo = null),
      );
    }, 150);
    return () => clearTimeout(timer);
  });

  async function save(event: SubmitEvent) {
    event.preventDefault();
    const form: ZoneForm = {
      ...$state.snapshot(draft),
      sides: typed,
      settings: { ...draft.settings },
    };
    const taken = await sending.send([form, job.version], async (key) => {
      if (zone) {
        await desk.editZone(zone.id, key, form);
      } else {
        await desk.addZone(key, form);
        const made = desk.job?.zones.at(-1);
        if (made) {
          go(jobHref(job.id, made.id));
        }
      }
    });
    if (taken) {
      kept.sent();
      onclose();
    }
  }
</script>

<Dialog title={zone ? 'Zone' : 'New zone'} {onclose}>
  <form onsubmit={save} novalidate>
    <StillHere draft={kept} />
    <Trouble problem={sending.problem} {shown} />
    <TextEntry
      label="Name"
      hint="North bay, Hall, Kitchen"
      fault={sending.fault('name')}
      bind:value={kept.value.name}
      autofocus
    />
    {#if draft.shape === 'plan'}
      <p class="echo">Its floor is on the plan: measure it there.</p>
    {:else}
      <fieldset>
        <legend>Shape</legend>
        <div class="shapes">
          <label>
            <input type="radio" name="shape" value="rectangle" bind:group={kept.value.shape} />
            <svg viewBox="0 0 40 28" aria-hidden="true"><path d="M2 2h36v24H2z" /></svg> Rectangle
          </label>
          <label>
            <input type="radio" name="shape" value="ell" bind:group={kept.value.shape} />
            <svg viewBox="0 0 40 28" aria-hidden="true"><path d="M2 2h22v10h14v14H2z" /></svg> L
          </label>
        </div>
      </fieldset>
      <div class="grid">
        {#each sides as field (field.id)}
          <FieldEntry
            {field}
            {units}
            bind:value={() => draft.sides[field.id] ?? '', (v) => (draft.sides[field.id] = v)}
            fault={sending.fault(`sides.${field.id}`)}
          />
        {/each}
      </div>
      <p class="echo" role="status">
        {#if echo}<b>{echo.area}</b>
          {echo.areaAlso} · perimeter <b>{echo.perimeter}</b>
          {echo.perimeterAlso}{:else}Area and perimeter show here as you type.{/if}
      </p>
    {/if}
    <div class="grid">
      <ChoiceEntry
        label="Made of"
        choices={known.view?.substrates ?? []}
        bind:value={kept.value.substrate}
      />
      <ChoiceEntry label="Used as" choices={known.view?.uses ?? []} bind:value={kept.value.use} />
      <ChoiceEntry
        label="Exposure"
        choices={known.view?.exposures ?? []}
        bind:value={kept.value.exposure}
      />
      <div class="ticks">
        <label
          ><input type="checkbox" bind:checked={kept.value.dust} /> Grinding is allowed here</label
        >
        <label
          ><input type="checkbox" bind:checked={kept.value.washWater} /> Wash water is allowed here</label
        >
        {#each known.view?.siteLimits ?? [] as limit (limit.id)}
          <label
            ><input type="checkbox" value={limit.id} bind:group={kept.value.limits} />
            {limit.label}</label
          >
        {/each}
      </div>
      {#each settings as field (field.id)}
        <FieldEntry
          {field}
          {units}
          bind:value={() => draft.settings[field.id] ?? '', (v) => (draft.settings[field.id] = v)}
          fault={sending.fault(`settings.${field.id}`)}
        />
      {/each}
    </div>
    <Button kind="main" type="submit" disabled={sending.busy}
      >{zone ? 'Save zone' : 'Add zone'}</Button
    >
  </form>
</Dialog>

<style>
  .grid {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 4px 16px;
  }

  legend {
    font-weight: 500;
  }

  .shapes {
    display: flex;
    gap: 8px;
    padding-block: 2px 12px;
  }

  .shapes label {
    display: flex;
    align-items: center;
    gap: 8px;
    min-block-size: var(--tap);
    padding: 0 14px;
    border: 1px solid var(--line-strong);
    border-radius: var(--radius);
    background: #ffffff;
    cursor: pointer;
  }

  .shapes label:has(:checked) {
    border: 2px solid var(--chalk);
    background: var(--chalk-wash);
    font-weight: 600;
  }

  .shapes svg {
    inline-size: 34px;
  }

  .shapes path {
    fill: none;
    stroke: var(--ink);
    stroke-width: 3;
  }

  .echo {
    padding: 8px 12px;
    background: var(--chalk-wash);
    margin-block: 4px 14px;
  }

  .echo b {
    font: 600 20px var(--figures);
  }

  .ticks label {
    display: flex;
    gap: 10px;
    align-items: center;
    min-block-size: 38px;
  }

  @media (max-width: 700px) {
    .grid {
      grid-template-columns: 1fr;
    }
  }
</style>
