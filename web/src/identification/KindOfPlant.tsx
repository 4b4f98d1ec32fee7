import { Choose } from '../ui/Choose'
import { GROUP } from '../ui/dictionary'
import { STAGES, type Group } from './StageOfIt'

/** A flowering plant, a fern, a lichen, a fungus: asked where no name says it. */
export function KindOfPlant({ value, onChange }: { value: Group; onChange: (group: Group) => void }) {
  return (
    <div className="w-44">
      <Choose
        label="Kind"
        value={value}
        choices={(Object.keys(STAGES) as Group[]).map((g) => ({ value: g, label: GROUP[g] }))}
        onChange={onChange}
      />
    </div>
  )
}
