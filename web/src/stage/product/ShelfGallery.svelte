<script lang="ts">
  import type { SheetView } from '../../api/types';
  import { shelfHref } from '../../app/route.svelte';
  import PackDrawing from '../../parts/PackDrawing.svelte';

  let { sheets }: { sheets: readonly SheetView[] } = $props();

  type Pack = 'can' | 'bag' | 'box';
  const KINDS = new Map<string, Pack>([
    ['BROADCAST', 'box'],
    ['POWDER', 'bag'],
  ]);
  const kindOf = (sheet: SheetView): Pack => KINDS.get(sheet.form.kind ?? '') ?? 'can';
  /** As a floor is built: what lies lowest stands on the lowest board. */
  const boards = $derived(
    [...new Set(sheets.map((s) => s.form.role))].map((role) => ({
      role,
      title: sheets.find((s) => s.form.role === role)?.role ?? '',
      sheets: sheets.filter((s) => s.form.role === role),
    })),
  );
</script>

{#each boards as board (board.role)}
  <section aria-label={board.title}>
    <ul>
      {#each board.sheets as sheet (sheet.slug)}
        <li>
          <a href={shelfHref(sheet.slug)}>
            <PackDrawing kind={kindOf(sheet)} role={board.role} />
            <b>{sheet.name}</b>
            <small>{sheet.form.kits.map((k) => k.label).join(', ') || 'no pack noted'}</small>
          </a>
        </li>
      {/each}
    </ul>
    <h2>{board.title.toLowerCase()}</h2>
  </section>
{/each}

<style>
  section {
    margin-block-start: 18px;
  }

  ul {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(132px, 1fr));
    align-items: end;
    gap: 10px 14px;
    border-block-end: 5px solid var(--stone-c);
  }

  a {
    display: grid;
    justify-items: center;
    gap: 2px;
    padding-block: 6px 0;
    color: inherit;
    text-align: center;
    text-decoration: none;
  }

  a:hover b {
    text-decoration: underline;
  }

  a :global(svg) {
    order: 3;
  }

  b {
    font-size: 14px;
    line-height: 1.2;
  }

  small,
  h2 {
    font: 400 13px/1.3 var(--text);
    color: var(--ink-soft);
  }
</style>
