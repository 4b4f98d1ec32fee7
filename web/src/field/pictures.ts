import { carry } from '../api/outbox'
import { position, type Chosen } from '../ui/PictureField'
import { picture } from './commands'

/** Lays each picture down and sends it; throws at the first that is refused, and a repeat sends none twice. */
export async function carryPictures(
  standId: string,
  chosen: Chosen,
  details: { takenOn: string; words?: string; identificationId?: string },
) {
  const at = chosen.keepPosition && chosen.pictures.length > 0 ? await position() : {}
  let sent = true
  for (const { id, name, file } of chosen.pictures) {
    const words = `A picture, ${name}`
    const carried = await carry(
      picture,
      { standId, file, name, details: { ...details, ...at, photoId: id } },
      words,
    )
    sent &&= carried.sent
  }
  return { sent }
}
