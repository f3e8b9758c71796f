<template>
  <!-- Materials by their hatch, so that they can be told without colour. -->
  <defs>
    <pattern id="hatch-wood" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <rect width="6" height="6" fill="var(--color-wood)" /><path
        d="M0 0 V6"
        stroke="var(--color-wood-edge)"
        stroke-width="1.4"
      />
    </pattern>
    <pattern id="hatch-steel" width="5" height="5" patternUnits="userSpaceOnUse">
      <rect width="5" height="5" fill="var(--color-paper)" /><path
        d="M0 5 L5 0 M0 0 L5 5"
        stroke="var(--color-edge)"
        stroke-width="0.8"
      />
    </pattern>
    <pattern id="hatch-block" width="14" height="8" patternUnits="userSpaceOnUse">
      <rect width="14" height="8" fill="var(--color-hair)" /><path
        d="M0 0 H14 M7 0 V8"
        stroke="var(--color-edge)"
        stroke-width="0.9"
      />
    </pattern>
    <pattern id="hatch-concrete" width="10" height="10" patternUnits="userSpaceOnUse">
      <rect width="10" height="10" fill="var(--color-hair)" />
      <path
        d="M2 3 l2 -1 l0.5 2 z M7 8 l1.6 -1.4 l0.6 1.8 z"
        fill="none"
        stroke="var(--color-edge)"
        stroke-width="0.8"
      />
      <circle cx="7" cy="2.5" r="0.7" fill="var(--color-edge)" /><circle
        cx="2.5"
        cy="7.5"
        r="0.7"
        fill="var(--color-edge)"
      />
    </pattern>
    <pattern id="hatch-board" width="4" height="4" patternUnits="userSpaceOnUse">
      <rect width="4" height="4" fill="var(--color-paper)" /><circle cx="1" cy="1" r="0.6" fill="var(--color-edge)" />
    </pattern>
    <pattern id="hatch-tile" width="8" height="8" patternUnits="userSpaceOnUse">
      <rect width="8" height="8" fill="var(--color-paper)" /><path
        d="M0 0 H8 M0 0 V8"
        stroke="var(--color-edge)"
        stroke-width="1"
      />
    </pattern>
    <pattern id="hatch-soft" width="8" height="6" patternUnits="userSpaceOnUse">
      <rect width="8" height="6" fill="var(--color-paper)" /><path
        d="M0 5 Q2 0 4 5 T8 5"
        fill="none"
        stroke="var(--color-edge)"
        stroke-width="0.8"
      />
    </pattern>
    <pattern id="hatch-void" width="8" height="8" patternUnits="userSpaceOnUse">
      <rect width="8" height="8" fill="var(--color-plaster)" />
    </pattern>
    <pattern id="hatch-hazard" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <rect width="7" height="7" fill="var(--color-stop-wash)" /><path
        d="M0 0 V7"
        stroke="var(--color-stop)"
        stroke-width="3"
      />
    </pattern>
    <pattern id="hatch-door" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
      <rect width="8" height="8" fill="var(--color-plaster)" /><path
        d="M0 0 V8"
        stroke="var(--color-hair)"
        stroke-width="1.2"
      />
    </pattern>
  </defs>
</template>
