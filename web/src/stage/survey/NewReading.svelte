<script lang="ts">
  import type { JobHead, MethodView, SurveyZone } from '../../api/types';
  import { shopInstruments } from '../../app/instruments.svelte';
  import type { JobDesk } from '../../app/job.svelte';
  import { known } from '../../app/reference.svelte';
  import Dialog from '../../parts/Dialog.svelte';
  import ReadingForm from './ReadingForm.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: SurveyZone;
    /** Where to begin, if somebody already said. */
    first?: { method: string; place: string; once: boolean };
    onclose: () => void;
  }

  let {
    desk,
    job,
    zone,
    first = { method: '', place: '', once: false },
    onclose,
  }: Props = $props();

  /** Those that tell anything of a floor made of this. */
  const methods = $derived(
    (known.view?.methods ?? []).filter((m) => m.substrates.includes(zone.facts.substrate)),
  );
  const tallies = $derived(zone.report.survey.tallies);

  // svelte-ignore state_referenced_locally
  let methodId = $state(first.method);
  // svelte-ignore state_referenced_locally
  let place = $state(first.place);
  let saved = $state('');

  $effect(() => void shopInstruments.load().catch(() => undefined));

  const method = $derived(methods.find((m) => m.id === methodId));
  const tally = (m: MethodView) => tallies.find((t) => t.method === m.id);
  const missing = (m: MethodView) => {
    const t = tally(m);
    return t?.required ? Math.max(0, t.needed.value - t.taken) : 0;
  };
  /** What is missing stands first; the rest as an installer looks for it. */
  const asked = $derived(methods.filter((m) => missing(m) > 0));
  const groups = $derived(
    (known.view?.testGroups ?? [])
      .map((g) => ({
        ...g,
        methods: methods.filter((m) => m.group === g.id && missing(m) === 0),
      }))
      .filter((g) => g.methods.length > 0),
  );

  function pick(m: MethodView) {
    methodId = m.id;
    place = '';
  }

  /** On to the next place by the same method, until there is enough of it. */
  function onsaved(what: string, more: boolean) {
    saved = what;
    if (!more && first.once) {
      onclose();
    } else if (!more) {
      methodId = '';
    }
  }
</script>

{#snippet choice(m: MethodView)}
  {@const left = missing(m)}
  <li>
    <button type="button" onclick={() => pick(m)}>
      <b>{m.title}</b>
      <span
        >{left > 0
          ? `${left} more needed`
          : tally(m)?.required
            ? 'enough taken'
            : 'if wanted'}</span
      >
    </button>
  </li>
{/snippet}

<Dialog title={method ? method.title : 'New reading'} {onclose}>
  {#if saved}<p class="saved" role="status">{saved} saved. What next?</p>{/if}
  {#if !method}
    {#if asked.length > 0}
      <h3>Still needed</h3>
      <ul>
        {#each asked as m (m.id)}{@render choice(m)}{/each}
      </ul>
    {/if}
    {#each groups as group (group.id)}
      <h3>{group.label}</h3>
      <ul>
        {#each group.methods as m (m.id)}{@render choice(m)}{/each}
      </ul>
    {/each}
  {:else}
    {#key methodId}
      <ReadingForm
        {desk}
        {job}
        {zone}
        {method}
        at={place}
        {onsaved}
        onother={() => (methodId = '')}
      />
    {/key}
  {/if}
</Dialog>

<style>
  h3 {
    margin-block: 14px 4px;
    font-size: 15px;
    color: var(--ink-soft);
  }

  li button {
    display: flex;
    justify-content: space-between;
    align-items: center;
    inline-size: 100%;
    min-block-size: 52px;
    padding: 0 8px;
    border: 0;
    border-block-start: 1px solid var(--line);
    background: none;
    cursor: pointer;
    text-align: start;
  }

  li button:hover {
    background: var(--chalk-wash);
  }

  li span {
    color: var(--ink-soft);
    font-size: 14px;
  }

  .saved {
    padding: 8px 12px;
    background: var(--go-wash);
    color: var(--go);
    font-weight: 600;
    margin-block-end: 8px;
  }
</style>
