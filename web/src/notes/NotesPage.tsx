import { useParams } from 'react-router'
import { ButtonLink } from '../ui/controls'
import { Loaded, Page, Section } from '../ui/page'
import { NoteRow, NotesOf } from './Notes'
import { useNote } from './queries'
import { WriteNote } from './WriteNote'

/** Everything written down; or the one that was come for. */
export function NotesPage() {
  const { id = '' } = useParams()
  const one = useNote(id)
  if (id) {
    return (
      <Loaded query={one}>
        {(note) => (
          <Page title="A note" actions={<ButtonLink to="/notes">All notes</ButtonLink>}>
            <div className="max-w-3xl">
              <Section>
                <ul>
                  <NoteRow note={note} named />
                </ul>
              </Section>
            </div>
          </Page>
        )}
      </Loaded>
    )
  }
  return (
    <Page title="Notes">
      <div className="grid gap-4 lg:grid-cols-[2fr_3fr]">
        <Section title="A quick note">
          <p className="text-soft mb-2 text-sm">
            Three more here, frosted, a week until it opens: a stand can be made of it later. What has a page
            of its own is written about on that page.
          </p>
          <WriteNote />
        </Section>
        <Section title="Written down">
          <NotesOf />
        </Section>
      </div>
    </Page>
  )
}
