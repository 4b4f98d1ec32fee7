import { Link } from 'react-router'
import { api, ask } from '../api/client'
import { usePeople } from '../household/queries'
import { ButtonLink } from '../ui/controls'
import { Empty, Loaded, Page, SafetyLine, Section } from '../ui/page'
import { Past } from '../ui/Past'
import { CONDITION, MEDICINE } from '../ui/dictionary'
import { date } from '../ui/words'
import { useCourses } from './queries'
import { Only } from '../ui/may'

export function People() {
  const people = usePeople()
  const courses = useCourses()
  return (
    <Page
      title="People"
      actions={
        <>
          <Only deed="keep">
            <ButtonLink to="/dosing/people/new">Add somebody</ButtonLink>
          </Only>
          <Only deed="record">
            <ButtonLink to="/dosing/direct/new">Use a plant as it is</ButtonLink>
            <ButtonLink kind="main" to="/dosing/new">
              Plan a course
            </ButtonLink>
          </Only>
        </>
      }
    >
      <div className="grid gap-4 lg:grid-cols-2">
        <Section title="Who">
          <Loaded query={people}>
            {(all) =>
              all.length === 0 ? (
                <Empty>Nobody yet. Add whoever will take or be given what you make.</Empty>
              ) : (
                <ul>
                  {all.map((p) => (
                    <li key={p.id} className="border-line border-b py-2">
                      <Link to={`/dosing/people/${p.id}`} className="text-lg font-medium underline">
                        {p.name}
                      </Link>
                      <p className="text-soft text-sm">
                        {p.ageYears} years{p.weightKg != null ? `, ${p.weightKg} kg` : ', weight not known'}
                        {p.recipient ? ', lives elsewhere' : ''}
                        {p.trimester != null ? `, pregnant, trimester ${p.trimester}` : ''}
                      </p>
                      <p className="text-sm">
                        Takes:{' '}
                        {p.medicineNames.length + p.medicines.length > 0 ? (
                          <span className="text-amber font-medium">
                            {[
                              ...p.medicineNames.map((m) => m.name),
                              ...p.medicines.map((m) => MEDICINE[m]),
                            ].join(', ')}
                          </span>
                        ) : (
                          <span className="text-soft">none said</span>
                        )}
                      </p>
                      {p.conditions.length > 0 && (
                        <p className="text-amber text-sm font-medium">
                          {p.conditions.map((c) => CONDITION[c]).join(', ')}
                        </p>
                      )}
                    </li>
                  ))}
                </ul>
              )
            }
          </Loaded>
        </Section>
        <Section title="Courses">
          <Loaded query={courses}>
            {(all) =>
              all.length === 0 ? (
                <Empty>No course yet. Plan one from a bottle on the shelf.</Empty>
              ) : (
                <ul>
                  {all.map((c) => (
                    <li key={c.id} className="border-line border-b py-2">
                      <Link to={`/dosing/courses/${c.id}`} className="font-medium underline">
                        {c.person}: {c.product}
                      </Link>
                      <p className="text-soft text-sm">
                        {c.lotCode}, {date(c.startOn)} to {date(c.lastDay)}
                      </p>
                      {!c.dosable && <strong className="text-madder">held back: open it to see why</strong>}
                    </li>
                  ))}
                </ul>
              )
            }
          </Loaded>
          <Past
            title="Plants used as they were"
            name="direct"
            load={(page) => ask(api.GET('/api/dosing/direct', { params: { query: { page } } }))}
            to={(id) => `/dosing/direct/${id}`}
          />
          <Past
            title="Courses that are over"
            name="courses"
            load={(page) => ask(api.GET('/api/dosing/courses/past', { params: { query: { page } } }))}
            to={(id) => `/dosing/courses/${id}`}
          />
        </Section>
      </div>
      <div className="mt-4">
        <SafetyLine />
      </div>
    </Page>
  )
}
