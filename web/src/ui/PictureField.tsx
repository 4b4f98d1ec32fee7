import { useState } from 'react'
import { v7 } from 'uuid'
import { Toggle } from './controls'

interface Picture {
  id: string
  name: string
  file: Blob
}

/** Chosen pictures with the ids they will keep, so that a second try makes no second photo. */
export interface Chosen {
  pictures: Picture[]
  keepPosition: boolean
}

export const NONE: Chosen = { pictures: [], keepPosition: false }

export function PictureField({
  label,
  chosen,
  onChange,
  positioned = true,
}: {
  label: string
  chosen: Chosen
  onChange: (chosen: Chosen) => void
  /** Whether a picture can keep where it was taken. */
  positioned?: boolean
}) {
  const [scaling, setScaling] = useState(false)
  return (
    <>
      <label className="block">
        <span className="text-soft block text-sm font-medium">{label}</span>
        <input
          // Emptied by being made anew: a file input can't be set.
          key={chosen.pictures.length === 0 ? 'empty' : 'chosen'}
          type="file"
          multiple
          accept="image/jpeg,image/png,image/webp"
          className="file:border-line file:bg-sheet min-h-11 w-full text-sm file:mr-2 file:min-h-11 file:border-2 file:px-3 file:font-semibold"
          onChange={(e) => {
            const files = [...(e.target.files ?? [])]
            if (files.length > 0) {
              setScaling(true)
              void Promise.all(files.map(scaled)).then((pictures) => {
                setScaling(false)
                onChange({ ...chosen, pictures })
              })
            }
          }}
        />
      </label>
      {scaling && <p role="status">Making it small enough to carry</p>}
      {chosen.pictures.length > 0 && (
        <p className="text-soft flex justify-between gap-2 text-sm">
          <span>{chosen.pictures.map((p) => p.name).join(', ')}</span>
          <button
            type="button"
            className="min-h-6 underline"
            onClick={() => onChange({ ...chosen, pictures: [] })}
          >
            none of them
          </button>
        </p>
      )}
      {positioned && (
        <Toggle
          label="Keep where I am now with it"
          checked={chosen.keepPosition}
          onChange={(keepPosition) => onChange({ ...chosen, keepPosition })}
        />
      )}
    </>
  )
}

/** Longest side of a picture as it is kept, pixels. */
const LONGEST = 2000
const QUALITY = 0.85

/**
 * Drawn anew on the device, no larger than it is looked at: less to carry home, and nothing in the file of where and by what
 * it was taken. What the browser can't draw goes as it is; the server does the same to it.
 */
async function scaled(file: File): Promise<Picture> {
  try {
    const image = await createImageBitmap(file, { imageOrientation: 'from-image' })
    const by = Math.min(1, LONGEST / Math.max(image.width, image.height))
    const canvas = document.createElement('canvas')
    canvas.width = Math.round(image.width * by)
    canvas.height = Math.round(image.height * by)
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height)
    image.close()
    const drawn = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', QUALITY))
    return { id: v7(), name: file.name, file: drawn && drawn.size < file.size ? drawn : await plain(file) }
  } catch {
    return { id: v7(), name: file.name, file }
  }
}

/** A copy of its own: a file that is only pointed at may be gone when it is sent. */
const plain = async (file: File) => new Blob([await file.arrayBuffer()], { type: file.type })

/** Where the device is. */
export const position = () =>
  new Promise<{ latitude: number; longitude: number }>((resolve, reject) =>
    navigator.geolocation.getCurrentPosition(
      (p) => resolve({ latitude: p.coords.latitude, longitude: p.coords.longitude }),
      () => reject(new Error('The device does not tell where it is. Go on without, or try again.')),
    ),
  )
