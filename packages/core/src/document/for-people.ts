/** A sentence for those who use an application: names stand in it without the quotes that developers read them in. */
export const forPeople = (sentence: string): string => sentence.replaceAll('`', '');
