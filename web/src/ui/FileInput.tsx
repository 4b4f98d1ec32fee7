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
  return (
    <label className="block">
      <span className="text-soft block text-sm font-medium">{label}</span>
      <input
        type="file"
        accept={accept}
        className="min-h-11 max-w-full"
        onChange={(e) => {
          const file = e.target.files?.[0]
          if (file) onFile(file)
          e.target.value = ''
        }}
      />
    </label>
  )
}
