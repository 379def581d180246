/** Fills the data file with the sample kitchen when it has no sheets yet. Usage: npm run seed [-- FILE] */
import { dataFilePath } from '../src/data/data-file-path';
import { openKitchenFile } from '../src/data/kitchen-file';
import { seedSampleKitchen } from '../src/data/sample/sample-kitchen';

const path = process.argv[2] ?? dataFilePath();
const db = openKitchenFile(path);
console.log(seedSampleKitchen(db, Date.now()) ? `Gannet Quay is in ${path}` : `${path} has sheets already: left as it is`);
db.$client.close();
