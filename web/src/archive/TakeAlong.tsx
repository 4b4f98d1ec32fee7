import { Section } from '../ui/page'

/** Everything in one file. */
export function TakeAlong() {
  return (
    <Section title="Take it along">
      <p>
        Everything in one file: stands, looks, harvests, jars, batches, courses, doses, notes and their
        pictures, as open text that other programs read too.
      </p>
      <p className="my-3">
        <a className="text-note font-semibold underline" href="/api/archive/file" download>
          All records as one file
        </a>
      </p>
      <p className="text-soft text-sm">
        It says who is ill and who takes what, and it is not locked: keep it where you keep such letters.
        Passwords are not in it.
      </p>
    </Section>
  )
}
