import { writeFileSync } from 'node:fs'
import { jobSchemaText } from './jobSchemaText'

writeFileSync('docs/job.schema.json', jobSchemaText())
