import { useState } from 'react'
import { Button } from '../ui/controls'
import { position } from '../ui/PictureField'

/** Asks the device where it is, in one touch; what it said can be taken off again. */
export function Here({
  f,
}: {
  f: {
    values: { latitude: string; longitude: string }
    set: (at: { latitude: string; longitude: string }) => void
  }
}) {
  const [failed, setFailed] = useState<string>()
  const [asking, setAsking] = useState(false)
  const here = async () => {
    setAsking(true)
    setFailed(undefined)
    try {
      const at = await position()
      f.set({ latitude: at.latitude.toFixed(6), longitude: at.longitude.toFixed(6) })
    } catch (e) {
      setFailed(e instanceof Error ? e.message : String(e))
    }
    setAsking(false)
  }
  return (
    <>
      {f.values.latitude ? (
        <p className="flex min-h-11 items-center gap-2 text-sm">
          at {f.values.latitude}, {f.values.longitude}
          <button
            type="button"
            className="min-h-6 underline"
            onClick={() => f.set({ latitude: '', longitude: '' })}
          >
            not there
          </button>
        </p>
      ) : (
        <Button disabled={asking} onClick={() => void here()}>
          {asking ? 'Asking the device' : 'Here'}
        </Button>
      )}
      {failed && (
        <p role="alert" className="text-madder w-full text-sm">
          {failed}
        </p>
      )}
    </>
  )
}
