<script lang="ts">
  import { type ApiProblem, asProblem } from '../../api/call';
  import { keepWithSheet, putOfSheet, sheetDocuments } from '../../api/client';
  import type { DocumentView } from '../../api/types';
  import Documents from '../../parts/Documents.svelte';
  import Trouble from '../../parts/Trouble.svelte';

  let { slug }: { slug: string } = $props();

  let documents = $state.raw<DocumentView[]>([]);
  let problem = $state.raw<ApiProblem | null>(null);

  async function load() {
    try {
      documents = await sheetDocuments(slug);
    } catch (e) {
      problem = asProblem(e);
    }
  }

  $effect(() => void load());
</script>

<Trouble {problem} />
<Documents
  {documents}
  hint="the maker's own sheet, what it says of its dangers: PDF or picture, to 10 MB"
  timeZone={Intl.DateTimeFormat().resolvedOptions().timeZone}
  keep={(key, name, file) => keepWithSheet(slug, key, name, file).then(load)}
  put={(id, key, form) => putOfSheet(slug, id, key, form).then(load)}
/>
