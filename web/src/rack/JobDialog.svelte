<script lang="ts">
  import { createJob } from '../api/client';
  import type { JobForm, JobHead } from '../api/types';
  import { known } from '../app/reference.svelte';
  import { jobHref } from '../app/route.svelte';
  import Button from '../parts/Button.svelte';
  import Dialog from '../parts/Dialog.svelte';
  import ChoiceEntry from '../parts/ChoiceEntry.svelte';
  import TextEntry from '../parts/TextEntry.svelte';
  import Trouble from '../parts/Trouble.svelte';
  import { FormState } from '../parts/form.svelte';

  interface Props {
    /** The job to edit; left out for a new one. */
    job?: JobHead;
    onsave?: (key: string, form: JobForm) => Promise<void>;
    onclose: () => void;
  }

  let { job, onsave, onclose }: Props = $props();

  const fresh = (): JobForm => ({
    name: '',
    client: '',
    place: '',
    latitude: '',
    longitude: '',
    timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    units: 'US',
    setting: 'INDOORS',
    archived: false,
  });

  // a draft starts from the job as it was when the dialog opened
  // svelte-ignore state_referenced_locally
  let draft = $state<JobForm>(job ? { ...job.facts } : fresh());
  const sending = new FormState();
  const UNITS = [
    { id: 'US', label: 'US: feet, gallons, °F' },
    { id: 'METRIC', label: 'Metric: metres, litres, °C' },
  ];
  const SETTINGS = [
    { id: 'INDOORS', label: 'Indoors' },
    { id: 'OUTDOORS', label: 'Outdoors' },
  ];
  const fields = ['name', 'client', 'place', 'latitude', 'longitude', 'timeZone'];

  async function save(event?: SubmitEvent) {
    event?.preventDefault();
    const form = { ...draft };
    const taken = await sending.send(form, async (key) => {
      if (onsave) {
        await onsave(key, form);
      } else {
        const made = await createJob(key, form);
        location.hash = jobHref(made.id);
      }
    });
    if (taken) {
      onclose();
    }
  }
</script>

<Dialog title={job ? 'Job' : 'New job'} {onclose}>
  <form onsubmit={save} novalidate>
    <Trouble problem={sending.problem} shown={fields} />
    <div class="grid">
      <TextEntry label="Name" fault={sending.fault('name')} bind:value={draft.name} autofocus />
      <TextEntry label="Client" fault={sending.fault('client')} bind:value={draft.client} />
      <TextEntry label="Place" fault={sending.fault('place')} bind:value={draft.place} />
      <TextEntry
        label="Time zone"
        hint="where the floor is"
        fault={sending.fault('timeZone')}
        list="zones"
        bind:value={draft.timeZone}
      />
      <datalist id="zones">
        {#each known.view?.timeZones ?? [] as zone (zone)}<option value={zone}></option>{/each}
      </datalist>
      <TextEntry
        label="Latitude"
        hint="degrees, north above 0; tells when a slab outdoors begins to cool"
        fault={sending.fault('latitude')}
        inputmode="decimal"
        bind:value={draft.latitude}
      />
      <TextEntry
        label="Longitude"
        hint="degrees, east above 0; both may stay empty"
        fault={sending.fault('longitude')}
        inputmode="decimal"
        bind:value={draft.longitude}
      />
      <ChoiceEntry
        label="Units"
        hint="either may be typed in either"
        choices={UNITS}
        bind:value={draft.units}
      />
      <ChoiceEntry
        label="New zones lie"
        hint="each zone says itself what weather reaches it"
        choices={SETTINGS}
        bind:value={draft.setting}
      />
    </div>
    <div class="buttons">
      <Button kind="main" type="submit" disabled={sending.busy}
        >{job ? 'Save job' : 'Create job'}</Button
      >
      {#if job}
        <Button
          onclick={() => {
            draft.archived = !draft.archived;
            void save();
          }}>{draft.archived ? 'Put back on the rack' : 'Put away'}</Button
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
