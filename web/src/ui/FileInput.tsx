import { useState } from 'react'

/** One file; chosen again it is read again. */
export function FileInput({
  label,
  accept,
  onFile,
}: {
  label: string
  accept: string
  onFile: (file: File) => void
}) {
  const [name, setName] = useState('')
  return (
    <label className="relative block">
      <span className="text-soft block text-sm font-medium">{label}</span>
      <input
        type="file"
        aria-label={label}
        accept={accept}
        className="peer sr-only"
        onChange={(e) => {
          const file = e.target.files?.[0]
          if (file) {
            setName(file.name)
            onFile(file)
          }
          e.target.value = ''
        }}
      />
      <span className="border-line hover:bg-page peer-focus-visible:outline-water mt-1 inline-flex min-h-11 cursor-pointer items-center border-2 px-4 font-semibold peer-focus-visible:outline-2 peer-focus-visible:outline-offset-2">
        Choose a file
      </span>
      {name && <span className="text-soft ml-3 text-sm break-all">{name}</span>}
    </label>
  )
}
