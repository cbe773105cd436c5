def weigh(load: Int): Int = load

class Press { def run(): Unit = () }
