export class Book {
  cancel(): void {}
}

export class Draft {}
