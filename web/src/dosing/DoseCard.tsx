import { useQuery } from '@tanstack/react-query'
import { useParams } from 'react-router'
import { api, ask } from '../api/client'
import { Loaded, Page, SafetyLine } from '../ui/page'
import { OnPaper, SheetOf } from '../ui/Sheet'

/** What goes with a bottle to whoever takes it: how much, when, how slowly, what to look out for, whom to call. */
export function DoseCard() {
  const { id = '' } = useParams()
  const card = useQuery({
    queryKey: ['courses', id, 'card'],
    queryFn: () => ask(api.GET('/api/dosing/courses/{id}/card', { params: { path: { id } } })),
  })
  return (
    <Loaded query={card}>
      {(sheet) => (
        <Page
          title={sheet.title}
          actions={<OnPaper href={`/api/dosing/courses/${id}/card.pdf`}>On paper (PDF)</OnPaper>}
        >
          <SheetOf sheet={sheet} />
          <div className="mt-4 print:hidden">
            <SafetyLine />
          </div>
        </Page>
      )}
    </Loaded>
  )
}
