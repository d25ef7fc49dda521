<script lang="ts">
  import type { SourceView } from '../api/types';

  let { source }: { source: SourceView } = $props();
</script>

<p>{source.sentence}</p>

<style>
  p {
    font-size: 13px;
    color: var(--ink-soft);
  }
</style>
