/** What the phone's screen shows at a step, in outline; what it means stands beside it in words. */
export function Drawing({ of }: { of: 'file' | 'list' | 'switch' | 'lock' }) {
  return (
    <svg viewBox="0 0 60 96" className="text-water h-24 w-15 shrink-0" aria-hidden="true">
      <rect x="4" y="2" width="52" height="92" rx="7" className="fill-sheet stroke-current" strokeWidth="3" />
      <path d="M24 9h12" className="stroke-current" strokeWidth="2" strokeLinecap="round" />
      {INSIDE[of]}
    </svg>
  )
}

const line = { fill: 'none', stroke: 'currentColor', strokeWidth: 2.5, strokeLinecap: 'round' } as const

const INSIDE = {
  file: (
    <g {...line}>
      <path d="M20 28h14l7 7v26H20z" />
      <path d="M34 28v7h7M30.500 40v13m-5-5 5 5 5-5" />
    </g>
  ),
  list: (
    <g {...line}>
      <path d="M13 24h34M13 36h34M13 60h34M13 72h34" className="text-line" stroke="currentColor" />
      <rect x="10" y="42" width="40" height="12" className="fill-water-pale" />
      <path d="M15 48h20m8-3 3 3-3 3" />
    </g>
  ),
  switch: (
    <g {...line}>
      <path d="M13 30h34M13 66h20" className="text-line" stroke="currentColor" />
      <rect x="17" y="41" width="26" height="14" rx="7" className="fill-water-pale" />
      <circle cx="36" cy="48" r="4" fill="currentColor" />
    </g>
  ),
  lock: (
    <g {...line}>
      <rect x="19" y="44" width="22" height="18" rx="2" className="fill-water-pale" />
      <path d="M23 44v-6a7 7 0 0 1 14 0v6M30 51v4" />
    </g>
  ),
}
