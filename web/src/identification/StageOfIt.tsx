import { useQuery } from '@tanstack/react-query'
import { api, ask, type Schemas } from '../api/client'
import { useTaxa } from '../herbarium/queries'
import { Button } from '../ui/controls'
import { STAGE } from '../ui/dictionary'

export type Stage = Schemas['IdentifyRequest']['stage']
export type Group = Schemas['CharacterView']['groups'][number]

export const STAGES: Record<Group, Stage[]> = {
  PLANT: ['SEEDLING', 'ROSETTE', 'LEAFY', 'FLOWERING', 'FRUITING', 'WINTER'],
  FERN: ['SPORING'],
  LICHEN: ['THALLUS'],
  FUNGUS: ['FRUIT_BODY'],
}

const HINT: Partial<Record<Stage, string>> = {
  SEEDLING: 'its first leaves only',
  ROSETTE: 'leaves at the ground, no stem yet',
  LEAFY: 'a stem or twigs with leaves, no flower',
  FLOWERING: 'at least one open flower',
  FRUITING: 'fruits or seed heads, no flower',
  WINTER: 'bare, or died back',
}

/** Asked, never assumed: what most plants do in this month is only said. */
export function StageOfIt({
  group,
  month,
  region,
  onStage,
}: {
  group: Group
  month: number
  region: string
  onStage: (stage: Stage) => void
}) {
  const stages = useQuery({
    queryKey: ['stages', group, month, region],
    queryFn: ({ signal }) =>
      ask(
        api.GET('/api/calculators/identify/stages', { params: { query: { month, group, region } }, signal }),
      ),
  })
  const taxa = useTaxa()
  const most = stages.data?.find((s) => s.plants > 0)?.stage
  /** From the cards alone, and of no plant by name. */
  const certainty = (stage: Stage) => {
    const at = stages.data?.find((s) => s.stage === stage)
    if (!at || at.gathered === 0) return undefined
    return at.certain === 0
      ? `none of ${at.gathered} gathered plants can be made certain at this stage`
      : `${at.certain} of ${at.gathered} gathered plants can be made certain at this stage`
  }
  return (
    <fieldset className="bg-sheet border-water max-w-3xl border-t-4 px-3 py-2">
      <legend className="float-left w-full text-xl font-semibold">What is it doing now?</legend>
      <p className="text-soft clear-both text-sm">
        Look at the plant itself, not at the calendar. Nothing is named until you ask what it all says.
      </p>
      <div className="mt-2 grid gap-2 sm:grid-cols-2">
        {STAGES[group].map((s) => (
          <Button key={s} className="justify-start! text-left" onClick={() => onStage(s)}>
            <span>
              <span className="block font-semibold">{STAGE[s]}</span>
              <span className="text-soft block text-sm font-normal">
                {HINT[s]}
                {s === most && ' (most plants, this month)'}
              </span>
              {/* Its line is there before its words are: what jumps under a thumb loses the touch. */}
              <span className="text-soft block text-sm font-normal">{certainty(s) ?? '\u00a0'}</span>
            </span>
          </Button>
        ))}
      </div>
      {taxa.data && (
        <p className="text-soft mt-2 text-sm">
          It is held against {taxa.data.length} cards: plants that are gathered, and what is taken for them.
          Most plants have no card; of those it can only say that they are none of these.
        </p>
      )}
      {group === 'PLANT' && (
        <p className="mt-3 flex flex-wrap gap-x-4 text-sm">
          <span>To fill in outside, with a pencil:</span>
          {STAGES[group].map((s) => (
            <a
              key={s}
              className="min-h-8 underline"
              target="_blank"
              rel="noreferrer"
              href={`/api/calculators/identify/sheet.pdf?${new URLSearchParams({ month: String(month), stage: s, region })}`}
            >
              {STAGE[s]}
            </a>
          ))}
        </p>
      )}
    </fieldset>
  )
}
