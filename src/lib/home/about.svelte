<script lang="ts">
  /** What this is, for whom, what is needed, and what it is not: readable without scripts. */
</script>

<p class="text-lg">
  Find out how a new thermostat gets its power in your house, before you touch a wire. For anyone with an old
  thermostat on the wall and a connected one in the box.
</p>
<svg viewBox="0 0 640 150" class="my-4 w-full max-w-2xl" role="img" aria-labelledby="about-picture">
  <title id="about-picture"
    >A furnace at the left, a thermostat at the right, four wires between them, and a fifth with a question
    mark: is there a C wire?</title
  >
  <g fill="none" stroke="currentColor" stroke-width="2.5" stroke-linecap="round" stroke-linejoin="round">
    <rect x="10" y="15" width="120" height="120" rx="8" /><path
      d="M44 64c0-15 16-19 15-32 15 10 25 22 20 37M44 64c0 12 35 14 35 5"
    />
    <path d="M30 95h80M30 110h80" />
    <rect x="520" y="25" width="110" height="100" rx="14" /><circle cx="575" cy="75" r="30" /><path
      d="M575 75l14-14"
    />
    <path d="M130 35h390M130 55h390M130 75h390M130 95h390" />
    <path d="M130 118h150M370 118h150" stroke-dasharray="7 8" />
  </g>
  <g fill="currentColor" font-weight="650" font-size="18" text-anchor="middle">
    <text x="325" y="125" font-size="26">C ?</text>
    <text x="505" y="30" font-size="14">R</text><text x="505" y="50" font-size="14">W</text><text
      x="505"
      y="70"
      font-size="14">Y</text
    ><text x="505" y="90" font-size="14">G</text>
  </g>
</svg>
<div class="grid gap-x-8 gap-y-3 sm:grid-cols-2">
  <div>
    <h2 class="font-semibold">What you need</h2>
    <p>A phone, a screwdriver, about an hour, and the power off at the breakers.</p>
  </div>
  <div>
    <h2 class="font-semibold">What it does</h2>
    <p>
      It notes your wires, finds the ways to feed the new thermostat, and checks each by simulating the
      circuit.
    </p>
  </div>
  <div>
    <h2 class="font-semibold">Where it stays</h2>
    <p>Everything stays on this device. Nothing is sent anywhere. It works without a network.</p>
  </div>
  <div>
    <h2 class="font-semibold">What it is not</h2>
    <p>
      It is no licensed person, and no leave to work on house current. Local code and the maker’s sheet win.
      If it smells of gas, leave and call.
    </p>
  </div>
</div>
