import { writeFileSync } from 'node:fs'
import { boardsSchemaText, jobSchemaText } from './jobSchemaText'

writeFileSync('docs/job.schema.json', jobSchemaText())
writeFileSync('docs/boards.schema.json', boardsSchemaText())
