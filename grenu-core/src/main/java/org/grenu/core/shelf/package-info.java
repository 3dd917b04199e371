/**
 * What stands on the lab's shelf: coffees and bags, gear with its versions and calibrations, water, sites, recipes
 * and
 * studies. Front door: {@link org.grenu.core.shelf.Shelf}, which tells what a shot's record leaves to its gear.
 */
package org.grenu.core.shelf;
