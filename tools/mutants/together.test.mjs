/* global testsOfTheRoom */
// what is tested is loaded once for a fault, and not once for each file of tests
for (const file of testsOfTheRoom) await import(file)
