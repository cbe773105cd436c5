def shown():
    pass
