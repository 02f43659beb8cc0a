import { expose } from 'comlink'
import { FileReading } from './fileReading'

expose(new FileReading())
