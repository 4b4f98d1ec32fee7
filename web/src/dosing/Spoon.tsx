/** One dose: empty until it is taken. */
export function Spoon({ full = false }: { full?: boolean }) {
  return (
    <svg viewBox="0 0 34 16" className="h-4 w-9" aria-hidden>
      <path
        d="M2 8c0-4 3-6 7-6 5 0 8 3 9 5l15 .4v1.2L18 9c-1 2-4 5-9 5-4 0-7-2-7-6z"
        fill={full ? 'currentColor' : 'none'}
        stroke="currentColor"
        strokeWidth="1.6"
        strokeLinejoin="round"
      />
    </svg>
  )
}
