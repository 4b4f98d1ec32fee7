import { v7 } from 'uuid'
import { api, ask } from '../api/client'
import { Toggle } from '../ui/controls'

/** Chosen pictures with the ids they will keep, so that a second try makes no second photo. */
export interface Chosen {
  pictures: { id: string; file: File }[]
  keepPosition: boolean
}

export const NONE: Chosen = { pictures: [], keepPosition: false }

export function PictureField({
  label,
  chosen,
  onChange,
}: {
  label: string
  chosen: Chosen
  onChange: (chosen: Chosen) => void
}) {
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
          onChange={(e) =>
            e.target.files?.length &&
            onChange({ ...chosen, pictures: [...e.target.files].map((file) => ({ id: v7(), file })) })
          }
        />
      </label>
      {chosen.pictures.length > 0 && (
        <p className="text-soft flex justify-between gap-2 text-sm">
          <span>{chosen.pictures.map((p) => p.file.name).join(', ')}</span>
          <button
            type="button"
            className="min-h-6 underline"
            onClick={() => onChange({ ...chosen, pictures: [] })}
          >
            none of them
          </button>
        </p>
      )}
      <Toggle
        label="Keep where I am now with it"
        checked={chosen.keepPosition}
        onChange={(keepPosition) => onChange({ ...chosen, keepPosition })}
      />
    </>
  )
}

/** Sends each picture; throws at the first that is refused, and a repeat sends none twice. */
export async function sendPictures(
  standId: string,
  chosen: Chosen,
  details: { takenOn: string; words?: string; identificationId?: string },
) {
  const at = chosen.keepPosition && chosen.pictures.length > 0 ? await position() : {}
  for (const { id, file } of chosen.pictures) {
    const form = new FormData()
    form.append('file', file)
    await ask(
      api.POST('/api/field/stands/{id}/photos', {
        params: { path: { id: standId }, query: { ...details, ...at, photoId: id } },
        body: { file: '' },
        bodySerializer: () => form,
      }),
    )
  }
}

const position = () =>
  new Promise<{ latitude: number; longitude: number }>((resolve, reject) =>
    navigator.geolocation.getCurrentPosition(
      (p) => resolve({ latitude: p.coords.latitude, longitude: p.coords.longitude }),
      () => reject(new Error('The device does not tell where it is. Add the photo without, or try again.')),
    ),
  )
