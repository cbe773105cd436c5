class scale
{
    /*!
        WHAT THIS OBJECT REPRESENTS
            A scale of the press house.
    !*/
public:
    void set_hall (
        int hall
    );
    /*!
        ensures
            - the scale stands in the hall
    !*/

    int load (
    ) const;
    /*!
        ensures
            - returns the load in kg
    !*/

    bool is_still (
    ) const;
};
