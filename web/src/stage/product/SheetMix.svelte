<script lang="ts">
  import { sheetRecipe, sheetRecipeFields } from '../../api/client';
  import type { Units } from '../../api/types';
  import { setDesk } from '../../app/desk';
  import type { Opened } from '../../app/job.svelte';
  import Working from '../../app/Working.svelte';
  import MixDesk from '../mix/MixDesk.svelte';

  interface Props {
    slug: string;
    units: Units;
  }

  let { slug, units }: Props = $props();
  let opened = $state.raw<Opened | null>(null);

  // no floor stands behind this screen: a figure shows its working right here
  setDesk({
    get opened() {
      return opened;
    },
    open: (figure) => {
      opened = figure && opened?.of !== figure ? { of: figure, figure } : null;
    },
  });
</script>

<MixDesk
  {units}
  fields={() => sheetRecipeFields(slug)}
  mix={(form) => {
    opened = null;
    return sheetRecipe(slug, form);
  }}
/>
{#if opened}<Working {opened} onclose={() => (opened = null)} />{/if}
