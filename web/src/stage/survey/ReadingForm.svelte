<script lang="ts">
  import { onDestroy, tick, untrack } from 'svelte';
  import { asProblem } from '../../api/call';
  import { sent } from '../../api/client';
  import type { JobHead, MethodView, SeriesView, SurveyZone } from '../../api/types';
  import { appClock } from '../../app/clock.svelte';
  import { shopInstruments } from '../../app/instruments.svelte';
  import type { JobDesk } from '../../app/job.svelte';
  import { Logging } from '../../app/logging.svelte';
  import Button from '../../parts/Button.svelte';
  import ChoiceEntry from '../../parts/ChoiceEntry.svelte';
  import FieldEntry from '../../parts/FieldEntry.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import FilePick from '../../parts/FilePick.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { begun, forget, keep } from '../../parts/draft';
  import { fromWall, toWall, when } from '../../parts/time';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: SurveyZone;
    method: MethodView;
    /** Where to begin; the first place without a reading where it is left out. */
    at: string;
    /** Says what was stored, and whether there is a place left to go to. */
    onsaved: (what: string, more: boolean) => void;
    onother: () => void;
  }

  let { desk, job, zone, method, at, onsaved, onother }: Props = $props();

  /** What does not change from one place to the next is remembered: the kit's area, the slab, which faces dry. */
  const CONSTANT = ['dishArea', 'depth', 'thickness', 'drying', 'wait', 'hours', 'disc', 'volts'];

  const timeZone = $derived(job.facts.timeZone);
  const units = $derived(job.facts.units);
  const entries = $derived(
    zone.report.survey.entries.filter((e) => e.reading.method === method.id),
  );
  const marked = $derived(zone.report.places.map((p) => p.name));
  const out = $derived(
    zone.report.testsOut.find((t) => t.method === method.id && t.place === place),
  );
  const kind = $derived(method.instrument ?? '');
  const owned = $derived(shopInstruments.ofKind(kind));

  let form = $state<HTMLFormElement>();
  let place = $state('');
  // a reading is taken when the form is opened, unless said otherwise
  // svelte-ignore state_referenced_locally
  let wall = $state(toWall(appClock.now, timeZone));
  let values = $state<Record<string, string>>({});
  /** Empty for none; left alone it is the one that was used last, once the shop's instruments are known. */
  let picked = $state<string | undefined>(undefined);
  let told = $state('');
  let picture = $state.raw<File>();
  const sending = new Logging();
  /** Asked for among the values until somebody said it once. */
  const unnamed = sending.by === '';

  const shown = $derived(['place', 'by', 'at', ...method.fields.map((f) => `values.${f.id}`)]);
  const instrumentId = $derived(picked ?? shopInstruments.last(kind));
  const instrument = $derived(owned.find((i) => i.id === instrumentId));
  const device = $derived(instrument?.form.address ? instrument : undefined);

  // the form is made anew for another method
  const draftKey = untrack(() => `reading ${zone.id} ${method.id} ${at}`);
  /** What the form began with. */
  let base = { place: '', values: {} as Record<string, string> };
  // svelte-ignore state_referenced_locally
  begin(at);
  const again = resume();

  /** What was typed before and not saved is still there. */
  function resume(): boolean {
    onDestroy(() => keep(draftKey, base, { place, values: $state.snapshot(values) }));
    const kept = begun(draftKey, base);
    ({ place, values } = kept.value);
    return kept.again;
  }

  function begin(where: string) {
    const before = entries.at(-1)?.reading;
    values = Object.fromEntries(
      method.fields.map((f) => [
        f.id,
        CONSTANT.includes(f.id) ? (before?.values[f.id]?.typed ?? '') : '',
      ]),
    );
    goTo(where || nextPlace());
    base = { place, values: $state.snapshot(values) };
    picked = undefined;
    told = '';
    picture = undefined;
    wall = toWall(appClock.now, timeZone);
  }

  function nextPlace(): string {
    const taken = new Set(entries.map((e) => e.reading.place));
    const names = [...marked, ...Array.from('ABCDEFGHIJKLMNOPQRSTUVWXYZ')];
    return names.find((name) => !taken.has(name)) ?? '';
  }

  /** A test that stood here says itself for how long. */
  function goTo(name: string) {
    place = name;
    const stood = zone.report.testsOut.find((t) => t.method === method.id && t.place === name);
    if (stood && method.setOut) {
      values[method.setOut.hours] = stood.stood;
    }
  }

  /** The cursor waits in the first field that nothing is in yet. */
  async function focusFirst() {
    await tick();
    const empty = Array.from(form?.querySelectorAll<HTMLInputElement>('.values input') ?? []).find(
      (input) => input.type === 'radio' || input.value === '',
    );
    empty?.focus();
  }

  $effect(() => void focusFirst());

  async function save(event: SubmitEvent) {
    event.preventDefault();
    const where = method.wholeFloor ? '' : place;
    const said = {
      place: where,
      at: fromWall(wall, timeZone)?.toISOString() ?? wall,
      values: { ...values },
      ...(instrument && { instrument: instrument.form.papers }),
    };
    const what = `${method.title}${method.wholeFloor ? '' : ` at ${place}`}`;
    if (await sending.write(desk, zone.id, 'READING', method.id, said)) {
      base = { place, values: $state.snapshot(values) };
      forget(draftKey);
      shopInstruments.remember(kind, instrument?.id ?? '');
      if (picture) {
        await desk.photo(sending.taken, picture).catch(() => (told = 'The photo was not stored.'));
      }
      const tally = zone.report.survey.tallies.find((t) => t.method === method.id);
      const left = tally?.required ? tally.needed.value - tally.taken : 0;
      const unread = marked.some((m) => !entries.some((e) => e.reading.place === m));
      const more = !method.wholeFloor && (left > 0 || (unread && method.id === 'moisture-meter'));
      onsaved(what, more);
      if (more) {
        begin('');
        await focusFirst();
      }
    }
  }

  async function setOut() {
    if (await sending.write(desk, zone.id, 'SET', method.id, { place })) {
      onsaved(`${method.title} set out at ${place}`, true);
      begin('');
    }
  }

  /** Takes over what the instrument read last: the channel called like the place, else its first. */
  async function readIt(from: string) {
    told = '';
    try {
      const series = (await sent(from)).series.filter((s) => s.method === method.id && s.newest);
      const fields = [...new Set(series.map((s) => s.field))];
      const read = fields.map(
        (f): SeriesView | undefined =>
          series.find((s) => s.field === f && s.channel === place) ??
          series.find((s) => s.field === f),
      );
      for (const s of read) {
        if (s?.newest) {
          values[s.field] = s.newest.typed;
        }
      }
      const first = read[0]?.newest;
      told = first
        ? `Read at ${when(new Date(first.at), timeZone, appClock.now)}.`
        : 'It has sent nothing that counts.';
      if (first) {
        wall = toWall(new Date(first.at), timeZone);
      }
    } catch (e) {
      sending.problem = asProblem(e);
    }
  }
</script>

{#snippet by()}
  <TextEntry label="By" fault={sending.fault('by')} bind:value={sending.by} autocomplete="name" />
{/snippet}

<p class="how">{method.how}</p>
{#if again}<p class="out">What you typed before is still here.</p>{/if}
<form bind:this={form} onsubmit={save} novalidate>
  <Trouble problem={sending.problem} {shown} />
  {#if !method.wholeFloor}
    {#if marked.length > 0}
      <div class="places" role="group" aria-label="Marked places">
        {#each marked as name (name)}
          <button type="button" aria-pressed={place === name} onclick={() => goTo(name)}
            >{name}</button
          >
        {/each}
      </div>
    {/if}
    <TextEntry
      label="Place"
      hint="a letter, or words: Roller door"
      fault={sending.fault('place')}
      bind:value={place}
    />
  {/if}
  {#if out}<p class="out">Set out {when(new Date(out.at), timeZone, appClock.now)}.</p>{/if}
  <div class="grid values">
    {#each method.fields as field (field.id)}
      <FieldEntry
        {field}
        {units}
        bind:value={() => values[field.id] ?? '', (v) => (values[field.id] = v)}
        fault={sending.fault(`values.${field.id}`)}
      />
    {/each}
    {#if unnamed}{@render by()}{/if}
  </div>
  <div class="buttons">
    <Button kind="main" type="submit" disabled={sending.busy}>Save reading</Button>
    {#if method.setOut && !out}
      <Button disabled={sending.busy} onclick={() => void setOut()}>Set out now</Button>
    {/if}
    <Button onclick={onother}>Other method</Button>
  </div>
  <div class="grid">
    <TextEntry
      label="When"
      hint="where the floor is"
      fault={sending.fault('at')}
      type="datetime-local"
      bind:value={wall}
    />
    {#if !unnamed}{@render by()}{/if}
    {#key entries.length}
      <FilePick
        label="Photo"
        accept="image/*"
        capture="environment"
        onpick={(f) => (picture = f)}
      />
    {/key}
    {#if owned.length > 0}
      <ChoiceEntry
        label="Read with"
        hint={instrument?.lapsed ? 'its calibration has lapsed' : ''}
        choices={[
          { id: '', label: 'not said' },
          ...owned.map((i) => ({ id: i.id, label: i.form.papers.name })),
        ]}
        bind:value={() => instrument?.id ?? '', (v) => (picked = v)}
      />
      {#if device}
        <p class="device">
          <Button onclick={() => void readIt(device.id)}>Read it from there</Button>
          <small role="status">{told}</small>
        </p>
      {/if}
    {/if}
  </div>
  <p class="source">{method.source.sentence}</p>
</form>

<style>
  .how {
    margin-block-end: 12px;
    max-inline-size: 54ch;
  }

  .places {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin-block-end: 10px;
  }

  .places button {
    min-inline-size: var(--tap);
    min-block-size: var(--tap);
    border: 1px solid var(--chalk);
    background: none;
    font: 600 18px var(--figures);
    cursor: pointer;
  }

  .places button[aria-pressed='true'] {
    background: var(--chalk);
    color: var(--paper);
  }

  .grid {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 2px 16px;
  }

  .device {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 12px;
  }

  .buttons {
    display: flex;
    flex-wrap: wrap;
    gap: 12px;
    margin-block: 4px 16px;
  }

  .out,
  .source,
  small {
    color: var(--ink-soft);
    font-size: 14px;
  }

  .out {
    margin-block-end: 8px;
  }

  @media (max-width: 700px) {
    .grid {
      grid-template-columns: 1fr;
    }
  }
</style>
