# frozen_string_literal: true

require_relative "../base"
require_relative "../../desk/acts/keep_shop"
require_relative "../../desk/commands/begin_shopping"
require_relative "../../desk/commands/end_shopping"

module NutShelf
  module Api
    # Out with the list, and home again.
    class Shoppings < Base
      post("/") { act(Desk::BeginShopping, body_as("BeginShopping")) }

      post("/:id/end") do
        body_as("Nothing")
        act(Desk::EndShopping, { shopping_id: id_param })
      end
    end

    # The shops a household goes to.
    class Shops < Base
      post("/") { act(Desk::KeepShop, body_as("KeepShop")) }

      post("/:id") { act(Desk::KeepShop, { shop_id: id_param, **body_as("KeepShop") }) }
    end
  end
end
