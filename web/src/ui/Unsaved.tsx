import { Button } from './controls'
import { forget, useUnsaved } from './kept'

/** Says that the fields hold what was typed before and not saved, so that nobody takes it for what is on record. */
export function Unsaved({ form }: { form: string }) {
  return useUnsaved(form) ? (
    <div
      role="note"
      className="border-amber bg-amber-pale col-span-full mb-3 flex flex-wrap items-center gap-3 border-l-8 px-3 py-2"
    >
      <p>What you typed here before was not saved. It is in the fields again.</p>
      <Button
        onClick={() => {
          forget(form)
          window.location.reload()
        }}
      >
        Throw it away
      </Button>
    </div>
  ) : null
}
