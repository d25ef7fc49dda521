<script lang="ts">
  import { ApiProblem } from '../api/call';
  import { importJob } from '../api/client';
  import { go, jobHref } from '../app/route.svelte';
  import Button from '../parts/Button.svelte';
  import Dialog from '../parts/Dialog.svelte';
  import FilePick from '../parts/FilePick.svelte';
  import Trouble from '../parts/Trouble.svelte';
  import { FormState } from '../parts/form.svelte';

  let { onclose }: { onclose: () => void } = $props();

  let file = $state.raw<File>();
  let copy = $state(false);
  const sending = new FormState();

  async function read(event: SubmitEvent) {
    event.preventDefault();
    if (!file) {
      return;
    }
    const text = await file.text();
    await sending.send([text, copy], async (key) => {
      const made = await importJob(key, parsed(text), copy);
      go(jobHref(made.jobId));
      onclose();
    });
  }

  function parsed(text: string): unknown {
    try {
      return JSON.parse(text);
    } catch (e) {
      const why = e instanceof Error ? e.message : 'it ends too early';
      throw new ApiProblem(400, {
        detail: `This file is not whole: ${why}. Nothing was imported.`,
      });
    }
  }
</script>

<Dialog title="Import a job file" {onclose}>
  <form onsubmit={read}>
    <Trouble problem={sending.problem} />
    <FilePick
      label="Job file"
      hint="a whole job as one JSON file, written by Open Slab"
      accept=".json,application/json"
      onpick={(f) => (file = f)}
    />
    <label
      ><input type="checkbox" bind:checked={copy} /> As a copy, beside a job that is already here</label
    >
    <Button kind="main" type="submit" disabled={sending.busy || !file}>Import job</Button>
  </form>
</Dialog>

<style>
  form {
    display: grid;
    gap: 12px;
    justify-items: start;
  }

  label {
    display: flex;
    gap: 10px;
    align-items: center;
    min-block-size: var(--tap);
  }
</style>
