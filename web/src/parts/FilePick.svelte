<script lang="ts">
  interface Props {
    /** What is to be chosen: "Job file". */
    label: string;
    /** What kinds of file, as a browser takes it. */
    accept: string;
    hint?: string;
    disabled?: boolean;
    /** A phone opens its camera at once. */
    capture?: 'environment';
    onpick: (file: File) => void;
  }

  let { label, accept, hint = '', disabled = false, capture, onpick }: Props = $props();
  const id = $props.id();

  let name = $state('');
  let over = $state(false);

  function take(file: File | undefined) {
    if (file && !disabled) {
      name = file.name;
      onpick(file);
    }
  }

  function dropped(event: DragEvent) {
    event.preventDefault();
    over = false;
    take(event.dataTransfer?.files[0]);
  }
</script>

<span
  class="pick"
  class:over
  class:disabled
  role="presentation"
  ondragover={(e) => {
    e.preventDefault();
    over = true;
  }}
  ondragleave={() => (over = false)}
  ondrop={dropped}
>
  <label for={id}>{label}</label>
  <input
    {id}
    type="file"
    {accept}
    {capture}
    {disabled}
    aria-describedby="{id}-said"
    onchange={(e) => {
      take(e.currentTarget.files?.[0]);
      // the same file may be chosen again
      e.currentTarget.value = '';
    }}
  />
  <span id="{id}-said" class="said" role="status">{name || hint}</span>
</span>

<style>
  .pick {
    position: relative;
    display: inline-flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 2px 12px;
    max-inline-size: 100%;
    border-radius: var(--radius);
  }

  label {
    display: inline-flex;
    align-items: center;
    min-block-size: var(--tap);
    padding: 0 16px;
    border: 1px dashed var(--chalk);
    border-radius: var(--radius);
    background: var(--paper);
    color: var(--chalk);
    font-weight: 600;
    cursor: pointer;
  }

  label:hover,
  .over label {
    background: var(--chalk-wash);
  }

  .pick:focus-within label {
    outline: 3px solid var(--chalk);
    outline-offset: 2px;
  }

  .disabled label {
    border-color: var(--line);
    background: var(--ground);
    color: var(--ink-soft);
    cursor: default;
  }

  input {
    position: absolute;
    inline-size: 1px;
    block-size: 1px;
    opacity: 0;
  }

  .said {
    color: var(--ink-soft);
    font-size: 14px;
    overflow-wrap: anywhere;
  }
</style>
