<?php
/**
 * Books a room.
 *
 * @param $room the room
 * @param $nights for how long
 * @return the price in euros
 */
function book(int $room, int $nights): float { return $room * $nights; }

function price(int $room, bool $late = false): float { return $room * 1.5; }
