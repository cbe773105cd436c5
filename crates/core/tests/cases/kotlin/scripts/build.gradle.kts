// What is built.

fun weigh(load: Int): Int = load

class Press { fun run() {} }
