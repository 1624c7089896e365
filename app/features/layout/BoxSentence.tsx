import { EditLengthWord } from '~/editor/EditLength'
import { useWallEditor } from '~/editor/WallEditor'
import { inches, type Length } from '~/length'
import { materialName } from '~/messages'
import { type Boxes, type Edit, inForce } from '~/model'
import { Choice } from '~/ui/Choice'
import { Sentence } from '~/ui/Sentence'
import { MoreThan } from './MoreThan'

/** Boxes told as a sentence: moulding, margin, wished width, rows. */
export function BoxSentence() {
  const { workpiece, wording, edit } = useWallEditor()
  const { boxes } = inForce(workpiece.wall.design)
  const patched = (next: Partial<Boxes>): Edit[] => [
    { type: 'patchDesign', patch: { boxes: { ...boxes, ...next } } },
  ]
  const patch = (next: Partial<Boxes>) => edit(patched(next), 'done')
  const width = (field: 'wish' | 'least' | 'most', label: string) => (
    <EditLengthWord
      field={`design.boxes.${field}`}
      label={label}
      value={boxes[field]}
      least={inches(2)}
      most={inches(400)}
      toEdits={(value) => patched({ [field]: value, count: null })}
    />
  )
  const margin = (field: 'above' | 'below', name: string) => {
    const value: Length | null = boxes[field]
    return value === null ? (
      <Choice
        word
        label={`Margin ${name}`}
        value="same"
        options={[
          { id: 'same', text: `the same ${name}` },
          { id: 'own', text: `another margin ${name}` },
        ]}
        onChange={(id) => patch({ [field]: id === 'own' ? boxes.margin : null })}
      />
    ) : (
      <>
        <EditLengthWord
          field={`design.boxes.${field}`}
          label={`Margin ${name}`}
          value={value}
          least={inches(0.25)}
          most={inches(60)}
          toEdits={(next) => patched({ [field]: next })}
        />{' '}
        {name}
      </>
    )
  }
  return (
    <Sentence>
      Boxes of{' '}
      <Choice
        word
        label="Molding"
        value={boxes.moulding}
        options={workpiece.settings.materials.map(({ id }) => ({ id, text: materialName(id, wording) }))}
        onChange={(moulding) => patch({ moulding })}
      />
      , mitered, with a margin of{' '}
      <EditLengthWord
        field="design.boxes.margin"
        label="Margin between boxes"
        value={boxes.margin}
        least={inches(0.25)}
        most={inches(60)}
        toEdits={(value) => patched({ margin: value })}
      />
      , {margin('above', 'above')} and {margin('below', 'below')}; each near{' '}
      {width('wish', 'Wished width of a box')} wide outside to outside,{' '}
      <MoreThan
        label="Least width of a box, at least or more"
        moreThan={boxes.moreThan}
        onChange={(moreThan) => patch({ moreThan, count: null })}
      />{' '}
      {width('least', 'Least width of a box')} and no more than {width('most', 'Most width of a box')}.{' '}
      <Choice
        word
        label="Rows of boxes"
        value={boxes.upper ? 'both' : 'lower'}
        options={[
          { id: 'lower', text: 'Below the rail only' },
          { id: 'both', text: 'Above the rail as well' },
        ]}
        onChange={(id) => patch({ upper: id === 'both' })}
      />
      .
    </Sentence>
  )
}
