<script lang="ts">
  import { createJob } from '../api/client';
  import type { JobForm, JobView } from '../api/types';
  import { known } from '../app/reference.svelte';
  import { jobHref } from '../app/route.svelte';
  import Button from '../parts/Button.svelte';
  import Dialog from '../parts/Dialog.svelte';
  import Entry from '../parts/Entry.svelte';
  import Trouble from '../parts/Trouble.svelte';
  import { FormState } from '../parts/form.svelte';

  interface Props {
    /** The job to edit; left out for a new one. */
    job?: JobView;
    onsave?: (key: string, form: JobForm) => Promise<void>;
    onclose: () => void;
  }

  let { job, onsave, onclose }: Props = $props();

  const fresh = (): JobForm => ({
    name: '',
    client: '',
    place: '',
    latitude: '0',
    longitude: '0',
    timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    units: 'US',
    setting: 'INDOORS',
    archived: false,
  });

  // a draft starts from the job as it was when the dialog opened
  // svelte-ignore state_referenced_locally
  let draft = $state<JobForm>(job ? { ...job.facts } : fresh());
  const sending = new FormState();
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
      <Entry label="Name" fault={sending.fault('name')}>
        {#snippet children(a)}
          <!-- the dialog's first field is where the user means to be -->
          <!-- svelte-ignore a11y_autofocus -->
          <input
            id={a.id}
            bind:value={draft.name}
            aria-describedby={a.describedby}
            aria-invalid={a.invalid}
            autofocus
          />
        {/snippet}
      </Entry>
      <Entry label="Client" fault={sending.fault('client')}>
        {#snippet children(a)}
          <input
            id={a.id}
            bind:value={draft.client}
            aria-describedby={a.describedby}
            aria-invalid={a.invalid}
          />
        {/snippet}
      </Entry>
      <Entry label="Place" fault={sending.fault('place')}>
        {#snippet children(a)}
          <input
            id={a.id}
            bind:value={draft.place}
            aria-describedby={a.describedby}
            aria-invalid={a.invalid}
          />
        {/snippet}
      </Entry>
      <Entry label="Time zone" hint="where the floor is" fault={sending.fault('timeZone')}>
        {#snippet children(a)}
          <input
            id={a.id}
            list="zones"
            bind:value={draft.timeZone}
            aria-describedby={a.describedby}
            aria-invalid={a.invalid}
          />
        {/snippet}
      </Entry>
      <datalist id="zones">
        {#each known.view?.timeZones ?? [] as zone (zone)}<option value={zone}></option>{/each}
      </datalist>
      <Entry label="Latitude" hint="degrees, north above 0" fault={sending.fault('latitude')}>
        {#snippet children(a)}
          <input
            id={a.id}
            inputmode="decimal"
            bind:value={draft.latitude}
            aria-describedby={a.describedby}
            aria-invalid={a.invalid}
          />
        {/snippet}
      </Entry>
      <Entry label="Longitude" hint="degrees, east above 0" fault={sending.fault('longitude')}>
        {#snippet children(a)}
          <input
            id={a.id}
            inputmode="decimal"
            bind:value={draft.longitude}
            aria-describedby={a.describedby}
            aria-invalid={a.invalid}
          />
        {/snippet}
      </Entry>
      <Entry label="Units" hint="either may be typed in either">
        {#snippet children(a)}
          <select id={a.id} bind:value={draft.units} aria-describedby={a.describedby}>
            <option value="US">US: feet, gallons, °F</option>
            <option value="METRIC">Metric: metres, litres, °C</option>
          </select>
        {/snippet}
      </Entry>
      <Entry label="Setting">
        {#snippet children(a)}
          <select id={a.id} bind:value={draft.setting} aria-describedby={a.describedby}>
            <option value="INDOORS">Indoors</option>
            <option value="OUTDOORS">Outdoors</option>
          </select>
        {/snippet}
      </Entry>
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
