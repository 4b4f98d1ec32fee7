import { Link } from 'react-router'
import { tray, useTray } from '../ui/tray'

/** What you carry from landing to landing. */
export function Tray() {
  const items = useTray()
  if (items.length === 0) return null
  return (
    <aside
      aria-label="Tray"
      className="bg-sheet border-water fixed inset-x-0 bottom-14 z-10 border-t-2 lg:bottom-0"
    >
      <ul className="mx-auto flex max-w-7xl items-center gap-2 overflow-x-auto px-4 py-1.5">
        <li className="text-soft text-sm font-medium">Tray</li>
        {items.map((item) => (
          <li key={item.id} className="border-line flex shrink-0 items-center border-2">
            <Link
              className="px-2 py-1 text-sm underline"
              to={item.kind === 'lot' ? `/shelf/${item.id}` : `/herbarium/${item.id}`}
            >
              {item.label}
            </Link>
            <button
              type="button"
              className="border-line hover:bg-water-pale min-h-8 min-w-8 border-l-2"
              aria-label={`Take ${item.label} off the tray`}
              onClick={() => tray.drop(item.id)}
            >
              ×
            </button>
          </li>
        ))}
      </ul>
    </aside>
  )
}
