<script lang="ts">
  import { addZone, createJob, echoShape, newKey } from '../api/client';
  import type { JobForm, JobHead } from '../api/types';
  import { known } from '../app/reference.svelte';
  import { go, jobHref } from '../app/route.svelte';
  import Button from '../parts/Button.svelte';
  import Dialog from '../parts/Dialog.svelte';
  import ChoiceEntry from '../parts/ChoiceEntry.svelte';
  import StillHere from '../parts/StillHere.svelte';
  import TextEntry from '../parts/TextEntry.svelte';
  import Trouble from '../parts/Trouble.svelte';
  import { Draft } from '../parts/draft.svelte';
  import { FormState } from '../parts/form.svelte';
  import { firstZone } from '../stage/floor/freshzone';

  interface Props {
    /** The job to edit; left out for a new one. */
    job?: JobHead;
    onsave?: (key: string, form: JobForm) => Promise<void>;
    onclose: () => void;
  }

  let { job, onsave, onclose }: Props = $props();

  const here = Intl.DateTimeFormat().resolvedOptions().timeZone;
  const fresh: JobForm = {
    name: '',
    client: '',
    place: '',
    latitude: '',
    longitude: '',
    timeZone: here,
    units: 'US',
    setting: 'INDOORS',
    archived: false,
    practices: {},
  };

  // a draft starts from the job as it was when the dialog opened
  // svelte-ignore state_referenced_locally
  const kept = new Draft(`job ${job?.id ?? ''}`, {
    ...(job ? job.facts : fresh),
    /** Of the first floor, where a new job has one at once. */
    length: '',
    width: '',
  });
  const sending = new FormState();
  /** What was made before its floor could be: sent again, it is not made twice. */
  let made: { of: string; head: JobHead } | null = null;
  /** The floor's own write: another size is another write. */
  let floor = { of: '', key: '' };
  let finding = $state('');
  const UNITS = [
    { id: 'US', label: 'US: feet, gallons, °F' },
    { id: 'METRIC', label: 'Metric: metres, litres, °C' },
  ];
  const SETTINGS = [
    { id: 'INDOORS', label: 'Indoors' },
    { id: 'OUTDOORS', label: 'Outdoors' },
  ];
  const fields = [
    'name',
    'client',
    'place',
    'latitude',
    'longitude',
    'timeZone',
    'sides.length',
    'sides.width',
  ];
  const lies = $derived(
    kept.value.latitude === ''
      ? 'Nobody said where it lies: what the sun does to a slab outdoors is not told.'
      : '',
  );

  async function save(event?: SubmitEvent) {
    event?.preventDefault();
    const { length, width, ...form } = $state.snapshot(kept.value);
    const taken = await sending.send([form, length, width], async (key) => {
      if (onsave) {
        await onsave(key, form);
      } else {
        await create(key, form, length, width);
      }
    });
    if (taken) {
      kept.sent();
      onclose();
    }
  }

  /** The two lengths are looked at before anything is stored, so that a slip leaves no half job behind. */
  async function create(key: string, form: JobForm, length: string, width: string) {
    const measured = length.trim() !== '' || width.trim() !== '';
    const sides = { length, width };
    if (measured) {
      await echoShape('rectangle', sides, form.units);
    }
    const of = JSON.stringify(form);
    const head = made?.of === of ? made.head : await createJob(key, form);
    made = { of, head };
    if (measured) {
      if (floor.of !== JSON.stringify(sides)) {
        floor = { of: JSON.stringify(sides), key: newKey() };
      }
      const zoned = await addZone(head.id, floor.key, head.version, firstZone(form, sides));
      go(jobHref(head.id, zoned.zones[0]?.id));
    } else {
      go(jobHref(head.id));
    }
  }

  /** Where this device is, if it may say so. */
  function find() {
    finding = 'Asking the device…';
    navigator.geolocation.getCurrentPosition(
      ({ coords }) => {
        kept.value.latitude = coords.latitude.toFixed(4);
        kept.value.longitude = coords.longitude.toFixed(4);
        kept.value.timeZone = here;
        finding = '';
      },
      () => (finding = 'The device does not say. Key it in, or leave it open.'),
      { timeout: 10_000, maximumAge: 600_000 },
    );
  }
</script>

{#snippet more()}
  <div class="grid">
    <TextEntry label="Client" fault={sending.fault('client')} bind:value={kept.value.client} />
    <TextEntry label="Place" fault={sending.fault('place')} bind:value={kept.value.place} />
    <ChoiceEntry
      label="New zones lie"
      hint="each zone says itself what weather reaches it"
      choices={SETTINGS}
      bind:value={kept.value.setting}
    />
    <TextEntry
      label="Time zone"
      hint="where the floor is"
      fault={sending.fault('timeZone')}
      list="zones"
      bind:value={kept.value.timeZone}
    />
    <datalist id="zones">
      {#each known.view?.timeZones ?? [] as zone (zone)}<option value={zone}></option>{/each}
    </datalist>
    <TextEntry
      label="Latitude"
      hint="degrees, north above 0"
      fault={sending.fault('latitude')}
      inputmode="decimal"
      bind:value={kept.value.latitude}
    />
    <TextEntry
      label="Longitude"
      hint="degrees, east above 0"
      fault={sending.fault('longitude')}
      inputmode="decimal"
      bind:value={kept.value.longitude}
    />
  </div>
  <p class="lies">
    {#if 'geolocation' in navigator}<Button kind="quiet" onclick={find}>It is where I am</Button
      >{/if}
    <span role="status">{finding || lies}</span>
  </p>
{/snippet}

<Dialog title={job ? 'Job' : 'New job'} {onclose}>
  <form onsubmit={save} novalidate>
    <StillHere draft={kept} />
    <Trouble problem={sending.problem} shown={fields} />
    <TextEntry label="Name" fault={sending.fault('name')} bind:value={kept.value.name} autofocus />
    {#if !job}
      <div class="grid">
        <TextEntry
          label="Length"
          hint={kept.value.units === 'US' ? `24' 6" or 7.47 m` : `7.47 m or 24' 6"`}
          fault={sending.fault('sides.length')}
          bind:value={kept.value.length}
        />
        <TextEntry
          label="Width"
          hint="both may wait, for a floor of another shape too"
          fault={sending.fault('sides.width')}
          bind:value={kept.value.width}
        />
      </div>
    {/if}
    <ChoiceEntry
      label="Units"
      hint="either may be typed in either"
      choices={UNITS}
      bind:value={kept.value.units}
    />
    {#if job}
      {@render more()}
    {:else}
      <details
        open={['client', 'place', 'latitude', 'longitude', 'timeZone'].some((f) =>
          sending.fault(f),
        )}
      >
        <summary>Client, place and where it lies</summary>
        {@render more()}
      </details>
    {/if}
    <div class="buttons">
      <Button kind="main" type="submit" disabled={sending.busy}
        >{job ? 'Save job' : 'Create job'}</Button
      >
      {#if job}
        <Button
          onclick={() => {
            kept.value.archived = !kept.value.archived;
            void save();
          }}>{kept.value.archived ? 'Put back on the rack' : 'Put away'}</Button
        >
      {/if}
    </div>
  </form>
</Dialog>

<style>
  .grid {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 4px 16px;
  }

  summary {
    min-block-size: var(--tap);
    padding-block: 10px;
    color: var(--chalk);
    font-weight: 600;
    cursor: pointer;
  }

  .lies {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 12px;
    font-size: 14px;
    color: var(--ink-soft);
  }

  .buttons {
    display: flex;
    gap: 12px;
    margin-block-start: 12px;
  }

  @media (max-width: 700px) {
    .grid {
      grid-template-columns: 1fr;
    }
  }
</style>
