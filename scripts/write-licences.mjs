// Called by the build.
import { writeLicences } from './licences.mjs';

writeLicences();
