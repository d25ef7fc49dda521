<script lang="ts">
  import type { SheetView, SystemFieldsView, SystemForm } from '../../api/types';
  import { shelfHref } from '../../app/route.svelte';

  interface Props {
    form: SystemForm;
    fields: SystemFieldsView;
    sheets: readonly SheetView[];
  }

  let { form, fields, sheets }: Props = $props();

  const words = (of: readonly { id: string; label: string }[], ids: readonly string[]) =>
    of
      .filter((n) => ids.includes(n.id))
      .map((n) => n.label.toLowerCase())
      .join(', ');
  const sheetName = (slug: string) => sheets.find((s) => s.slug === slug)?.name ?? slug;
</script>

<h1>{form.title}</h1>
<p>{form.note}</p>
<ol>
  {#each [...form.layers].reverse() as layer (layer.id)}
    <li>
      <b>{layer.title}</b>
      <a href={shelfHref(layer.sheet)}>{sheetName(layer.sheet)}</a>
      {#if layer.when}<span>{layer.when}</span>{/if}
      {#if layer.steps}<span
          >{layer.steps.length} steps: {layer.steps
            .map((s) => (s.settle ?? s.title ?? '').toLowerCase())
            .join(', ')}</span
        >{/if}
    </li>
  {/each}
</ol>
<dl>
  <dt>Lies on</dt>
  <dd>{words(fields.substrates, form.on)}</dd>
  <dt>Meant for</dt>
  <dd>{words(fields.uses, form.uses)}</dd>
  <dt>Looks</dt>
  <dd>{form.look}</dd>
  <dt>Hides</dt>
  <dd>{words(fields.blemishes, form.hides) || 'nothing'}</dd>
  <dt>Never hides</dt>
  <dd>{words(fields.blemishes, form.never) || 'nothing that is known'}</dd>
  <dt>Asks</dt>
  <dd>{form.asks}</dd>
  <dt>Care</dt>
  <dd>{form.care}</dd>
</dl>

<style>
  h1 {
    font-size: 30px;
  }

  p,
  dd {
    max-inline-size: 70ch;
  }

  ol {
    margin-block: 14px;
    border-block-end: 8px solid var(--concrete);
  }

  li {
    display: grid;
    gap: 2px;
    padding: 8px 0;
    border-block-start: 1px solid var(--line);
  }

  a {
    color: var(--chalk);
    justify-self: start;
  }

  span,
  dt {
    font-size: 14px;
    color: var(--ink-soft);
  }

  dl {
    margin-block-end: 20px;
  }

  dt {
    margin-block-start: 10px;
  }
</style>
