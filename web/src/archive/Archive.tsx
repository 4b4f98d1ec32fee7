import { ButtonLink } from '../ui/controls'
import { pageOnly } from '../ui/may'
import { Page } from '../ui/page'
import { Delete } from './Delete'
import { Lists } from './Lists'
import { ReadIn } from './ReadIn'
import { Book, TakeAlong } from './TakeAlong'

/** What a household has written down is its own: out in open files, back again, or gone for good. */
export const Archive = pageOnly('keep', function Archive() {
  return (
    <Page
      title="All records, out and back"
      actions={
        <>
          <ButtonLink to="/archive/lists">Read a list in</ButtonLink>
          <ButtonLink to="/archive/audit">Who did what, and why</ButtonLink>
        </>
      }
    >
      <div className="grid items-start gap-4 lg:grid-cols-[2fr_3fr]">
        <div className="space-y-4">
          <TakeAlong />
          <Book />
          <Delete />
        </div>
        <div className="space-y-4">
          <ReadIn />
          <Lists />
        </div>
      </div>
    </Page>
  )
})
