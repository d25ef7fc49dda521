<script lang="ts">
  import type { LayerCheck, LayerForm, LayerView, SheetView, Units } from '../../api/types';
  import Button from '../../parts/Button.svelte';
  import Mark from '../../parts/Mark.svelte';

  interface Props {
    layer: LayerView;
    sheets: readonly SheetView[];
    units: Units;
    /** Something was logged in it: it stays as it is. */
    begun: boolean;
    /** What speaks against it where it lies. */
    checks: readonly LayerCheck[];
    busy: boolean;
    /** Whether it can go one higher, one lower, or be laid again on top of itself. */
    up: boolean;
    down: boolean;
    above: boolean;
    href: string;
    onmove: (by: number) => void;
    onrepeat: () => void;
    ondrop: () => void;
    /** Whether it was taken. */
    onchange: (form: LayerForm) => Promise<boolean>;
  }

  let {
    layer,
    sheets,
    units,
    begun,
    checks,
    busy,
    up,
    down,
    above,
    href,
    onmove,
    onrepeat,
    ondrop,
    onchange,
  }: Props = $props();
  let open = $state(false);
  // drafts of what is there; another answer makes the line anew where it changed the layer
  let rate = $derived(layer.rate ?? '');
  let reserve = $derived(layer.reserve ?? '');
  const mine = $derived(sheets.find((s) => s.digest === layer.digest));
  const fitting = $derived(sheets.filter((s) => !mine || s.role === mine.role));

  async function save(event: SubmitEvent) {
    event.preventDefault();
    // what was refused stays as it was typed
    open = !(await onchange({ rate, reserve }));
  }
</script>

<li class="layer" data-kind={layer.role}>
  <div class="name">
    <a {href}>{layer.title}</a>
    {#if begun}<span>begun: stays as it is</span>{/if}
  </div>
  <div class="sheet">
    {#if begun}
      {layer.name}
    {:else}
      <select
        aria-label="Sheet of the {layer.title}"
        value={layer.digest}
        disabled={busy}
        onchange={(e) => void onchange({ sheet: e.currentTarget.value })}
      >
        {#if !mine}<option value={layer.digest}>{layer.name}, as planned with</option>{/if}
        {#each fitting as sheet (sheet.digest)}
          <option value={sheet.digest}>{sheet.name}</option>
        {/each}
      </select>
    {/if}
    <span class="said">
      {layer.rate ? `laid at ${layer.rate}` : 'at the sheet’s rate'}{layer.reserve
        ? `, ${layer.reserve} held back`
        : ''}
    </span>
  </div>
  <div class="acts">
    <Button kind="quiet" disabled={busy || !up} onclick={() => onmove(1)}>Up</Button>
    <Button kind="quiet" disabled={busy || !down} onclick={() => onmove(-1)}>Down</Button>
    <Button kind="quiet" disabled={busy || !above} onclick={onrepeat}>Again</Button>
    <Button kind="quiet" disabled={busy} onclick={() => (open = !open)}>Rate</Button>
    <Button kind="quiet" disabled={busy || begun} onclick={ondrop}>Drop</Button>
  </div>
  {#if checks.length > 0}
    <ul>
      {#each checks as check (check.rule + check.words)}
        <li class="check">
          <Mark mark={check.verdict} />
          <p>{check.words} <small>{check.source.sentence}</small></p>
        </li>
      {/each}
    </ul>
  {/if}
  {#if open}
    <form novalidate onsubmit={(event) => void save(event)}>
      <label
        ><span>Laid at, empty for the sheet’s rate</span>
        <input
          bind:value={rate}
          placeholder={layer.role === 'BROADCAST'
            ? units === 'US'
              ? 'lb/ft²'
              : 'kg/m²'
            : mine?.form.kind === 'POWDER'
              ? units === 'US'
                ? 'in'
                : 'mm'
              : units === 'US'
                ? 'ft²/gal'
                : 'm²/L'}
        /></label
      >
      {#if mine && mine.classes.length > 0}
        <p class="classes">
          By its sheet:
          {#each mine.classes as c (c.name)}
            <Button kind="quiet" onclick={() => (rate = c.rate)}>{c.name}, {c.rate}</Button>
          {/each}
        </p>
      {/if}
      <label
        ><span>Held back for touching up</span>
        <input bind:value={reserve} placeholder="%" /></label
      >
      <Button type="submit" kind="main" disabled={busy}>Save the rate</Button>
    </form>
  {/if}
</li>

<style>
  ul {
    grid-column: 1 / -1;
  }

  .check {
    display: grid;
    grid-template-columns: 74px minmax(0, 1fr);
    gap: 8px;
    align-items: baseline;
    font-size: 14px;
  }

  small {
    color: var(--ink-soft);
    font-size: 13px;
  }

  .layer {
    display: grid;
    grid-template-columns: minmax(130px, 1fr) minmax(0, 2fr) auto;
    gap: 4px 16px;
    align-items: center;
    position: relative;
    min-block-size: 62px;
    padding-block: 8px;
    padding-inline-start: 112px;
    --slice: var(--clear);
  }

  /* its slice of the core, as it lies on the one below */
  .layer::before {
    content: '';
    position: absolute;
    inset-block: 0;
    inset-inline-start: 4px;
    inline-size: 84px;
    background:
      linear-gradient(
        90deg,
        rgb(0 0 0 / 42%),
        rgb(0 0 0 / 8%) 18%,
        rgb(255 255 255 / 22%) 38%,
        rgb(0 0 0 / 6%) 70%,
        rgb(0 0 0 / 46%)
      ),
      var(--slice);
    border-block-end: 1px solid var(--ink);
  }

  /* what it is, on a line that leads out of it */
  .layer::after {
    content: '';
    position: absolute;
    inset-block-start: 50%;
    inset-inline-start: 88px;
    inline-size: 18px;
    border-block-start: 1px solid var(--line-strong);
  }

  .layer[data-kind='PRIMER'] {
    --slice: var(--primer);
  }

  .layer[data-kind='STAIN'],
  .layer[data-kind='ANTIQUE'] {
    --slice: var(--stain);
  }

  .layer[data-kind='BASE'],
  .layer[data-kind='OVERLAY'] {
    --slice: var(--base);
  }

  .layer[data-kind='BODY'] {
    --slice: var(--body);
  }

  .layer[data-kind='BROADCAST'] {
    --slice: var(--flake);
  }

  .name a {
    font: 600 17px/1.3 var(--text);
  }

  .name span,
  .said,
  label span {
    display: block;
    color: var(--ink-soft);
    font-size: 13px;
  }

  select {
    max-inline-size: 100%;
  }

  .acts {
    display: flex;
    flex-wrap: wrap;
    gap: 2px;
  }

  form {
    grid-column: 1 / -1;
    display: flex;
    flex-wrap: wrap;
    align-items: end;
    gap: 10px 14px;
    padding-block: 6px;
  }

  @media (max-width: 759px) {
    .layer {
      grid-template-columns: minmax(0, 1fr);
      padding-inline-start: 58px;
    }

    .layer::before {
      inline-size: 36px;
    }

    .layer::after {
      inset-inline-start: 40px;
      inline-size: 12px;
    }
  }
</style>
