<script lang="ts">
  import { jobHref } from '../app/route.svelte';
  import type { Stratum } from '../api/types';
  import Mark from '../parts/Mark.svelte';
  import Below from './Below.svelte';
  import { isReal } from './draw';

  interface Props {
    jobId: string;
    zoneId: string;
    name: string;
    strata: readonly Stratum[];
    chosen: string;
  }

  let { jobId, zoneId, name, strata, chosen }: Props = $props();
  let row = $state<HTMLElement>();

  // a tall core is longer than a phone is wide: what is looked at stays in sight
  $effect(() => {
    const at = row?.querySelectorAll('li')[strata.findIndex((s) => s.id === chosen)];
    if (row && at) {
      row.scrollLeft = at.offsetLeft - (row.clientWidth - at.clientWidth) / 2;
    }
  });

  const now = $derived(strata.find((s) => s.id === chosen));
  const short: Record<string, string> = {
    SLAB: 'Slab',
    PREP: 'Prep',
    BROADCAST: 'Flake',
    SERVICE: 'Use',
  };
  const label = (s: Stratum) => short[s.kind] ?? s.title.replace(' coat', '');
</script>

<nav aria-label="Core sample: the layers of this zone">
  <ol bind:this={row}>
    {#each strata as stratum (stratum.id)}
      <li class:slab={stratum.kind === 'SLAB'}>
        <a
          href={jobHref(jobId, zoneId, stratum.id)}
          aria-current={stratum.id === chosen ? 'page' : undefined}
          aria-label="{stratum.title}, {stratum.word}"
          data-kind={stratum.kind}
          data-real={isReal(stratum)}
          data-mark={stratum.mark}
        >
          {#if stratum.kind === 'SLAB'}
            <svg viewBox="0 0 92 52" preserveAspectRatio="xMidYMid slice" aria-hidden="true">
              <Below made={stratum.made} {name} width={92} top={0} bottom={52} lying />
            </svg>
          {/if}
        </a>
        <span aria-hidden="true" class:chosen={stratum.id === chosen}>{label(stratum)}</span>
      </li>
    {/each}
  </ol>
  {#if now}
    <p><b>{now.title}</b> <span>{now.detail}</span> <Mark mark={now.mark} word={now.word} /></p>
  {/if}
</nav>

<style>
  nav {
    padding: 10px 12px 8px;
    border-block-end: 1px solid var(--line);
  }

  ol {
    position: relative;
    display: flex;
    overflow-x: auto;
    scrollbar-width: none;
  }

  li {
    flex: 1;
    min-inline-size: 44px;
    text-align: center;
    font-size: 12px;
  }

  .slab {
    flex: 1.8;
  }

  a {
    display: block;
    block-size: 52px;
    border: 1.5px dashed var(--line-strong);
    border-inline-start-width: 0;
    border-start-end-radius: 9px 26px;
    border-end-end-radius: 9px 26px;
    overflow: hidden;
    position: relative;
  }

  li:first-child a {
    border-inline-start-width: 1.5px;
    border-start-start-radius: 9px 26px;
    border-end-start-radius: 9px 26px;
  }

  a[data-real='true'] {
    border-style: solid;
    border-color: rgb(0 0 0 / 45%);
    background: var(--clear);
  }

  a[data-real='true']::after {
    content: '';
    position: absolute;
    inset: 0;
    background: linear-gradient(
      rgb(0 0 0 / 34%),
      rgb(255 255 255 / 22%) 34%,
      rgb(0 0 0 / 4%) 65%,
      rgb(0 0 0 / 38%)
    );
  }

  a[data-kind='SLAB'] {
    background: var(--concrete);
  }

  a[data-real='true'][data-kind='PREP'] {
    background: var(--concrete-light);
  }

  a[data-real='true'][data-kind='PRIMER'] {
    background: var(--primer);
  }

  a[data-real='true']:is([data-kind='STAIN'], [data-kind='ANTIQUE']) {
    background: var(--stain);
  }

  a[data-real='true']:is([data-kind='BASE'], [data-kind='OVERLAY']) {
    background: var(--base);
  }

  a[data-real='true'][data-kind='BODY'] {
    background: var(--body);
  }

  a[data-real='true'][data-kind='BROADCAST'] {
    background: repeating-linear-gradient(
      63deg,
      var(--flake) 0 4px,
      #e9e6df 4px 6px,
      #20282a 6px 8px,
      var(--flake) 8px 12px
    );
  }

  a[data-mark='WET'][data-real='true'] {
    box-shadow: inset 0 -7px 0 var(--wet);
  }

  a[aria-current] {
    outline: 3px solid var(--chalk);
    outline-offset: -3px;
    z-index: 1;
  }

  svg {
    inline-size: 100%;
    block-size: 100%;
  }

  .chosen {
    color: var(--chalk);
    font-weight: 600;
  }

  p {
    display: flex;
    gap: 10px;
    align-items: baseline;
    padding-block-start: 6px;
  }
</style>
