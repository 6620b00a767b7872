<script lang="ts">
  let {
    from,
    to,
    y,
    fine = false,
    transform
  }: {
    /** Ends and height in pixels. */
    from: number;
    to: number;
    y: number;
    /** For drawings of the size of a row. */
    fine?: boolean;
    transform?: string;
  } = $props();
</script>

<line
  pointer-events="none"
  x1={from}
  x2={to}
  y1={y}
  y2={y}
  {transform}
  stroke="var(--ink)"
  stroke-width={fine ? 0.5 : 0.8}
  stroke-dasharray={fine ? '9 2 2 2' : '18 4 4 4'}
/>
