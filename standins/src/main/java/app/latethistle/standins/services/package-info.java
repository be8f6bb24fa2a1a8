/**
 * Stand-ins for services that make pictures. They answer an order with real files, painted by the
 * scene painter, and have the faults that such services have: a move other than the one asked for,
 * soft, frozen or leaping clips, marks in the corner, a shape of their own choosing.
 */
package app.latethistle.standins.services;
