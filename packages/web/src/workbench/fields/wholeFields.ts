/** Fields of their own, by the form that a property's type asks for; all other forms are entered in a line of Facts. */
import type { Control, FieldForm, Property } from '@hovrin/core';
import type { ComponentType } from 'react';
import { PictureField } from './PictureField.tsx';

/** @property name what the control is called. */
export interface WholeFieldProps {
  readonly control: Control;
  readonly property: Property;
  readonly name: string;
}

export const wholeFields: { readonly [Form in FieldForm]?: ComponentType<WholeFieldProps> } = {
  picture: PictureField,
};
