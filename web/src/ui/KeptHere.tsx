import { Link } from 'react-router'

/** There was no line: it lies in the notebook on this device. */
export function KeptHere() {
  return (
    <p role="status" className="border-amber bg-amber-pale border-l-4 px-3 py-1">
      Kept on this device; it is sent when the line is back.{' '}
      <Link to="/field/notebook" className="underline">
        Open the notebook
      </Link>
    </p>
  )
}
